/**
 * The studio as the bench sees it while it is tested: the demo, planned again after every change, with a clock that is
 * set by hand.
 */
import { ref } from 'vue'
import { commission, plan, usePlannedDemo, workshop } from './plannedDemo'

/** The hour it is, minutes. */
export const hour = ref(0)

const {
  studio: { edit },
} = usePlannedDemo()

/** Stands in for the studio's store. */
export const studio = {
  get plan() {
    return plan.value
  },
  get commission() {
    return commission.value
  },
  get workshop() {
    return workshop.value
  },
  get now() {
    return hour.value
  },
  reserved: new Map<string, number>(),
  tick: (): number => hour.value,
  edit,
}
