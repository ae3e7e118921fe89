<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { chosenOption, choosing } from '#core/commission'
import { proposal, type Views } from '#core/deliver'
import { FRONT_DOWN_DEG } from '#core/draw'
import { cakeRoom, sceneOf } from '#core/plan'
import { printWorkingValue } from '#core/quantity'
import { useOptionPlans, type PlannedOption } from '~/components/options/useOptionPlans'
import PaperTools from '~/components/papers/PaperTools.vue'
import PaperView from '~/components/papers/PaperView.vue'
import { sceneContent } from '~/components/stand/contentOf'
import { drawStill } from '~/components/stand/render/stills'
import { wholeCake } from '~/components/stand/wholeCake'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import PillButton from '~/components/ui/PillButton.vue'
import { useSupplied } from '~/composables/supplied'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'
import SwitchField from '~/components/ui/SwitchField.vue'

/** The page for the client: pictures of the cake, sizes, colours, what is eaten, options, the price if wanted. */
const { commission, option, plan } = usePlanned()
const preferences = usePreferences()
const { suppliedFor } = useSupplied()
const planned = useOptionPlans()
const withPrice = ref(false)
const views = shallowRef<Views>([])

const SIDES = [
  { id: 'front', name: 'The front', turnDeg: 0, downDeg: FRONT_DOWN_DEG },
  { id: 'side', name: 'From its right', turnDeg: -62, downDeg: FRONT_DOWN_DEG },
  { id: 'above', name: 'Looked down upon', turnDeg: 24, downDeg: 44 },
  { id: 'back', name: 'The back', turnDeg: 180, downDeg: FRONT_DOWN_DEG },
] as const
const shownSides = ref<readonly string[]>(['front', 'side'])
const LEAST_VIEWS = 2
const PICTURE_PX = 900

const dataUrlOf = (file: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.onerror = () => reject(reader.error ?? new Error('The picture could not be read.'))
    reader.readAsDataURL(file)
  })

const scene = computed(() => sceneOf(option.value, plan.value))
let asked = 0
watch(
  [() => sceneContent(scene.value), shownSides],
  async () => {
    const mine = (asked += 1)
    const made: Views[number][] = []
    for (const { id, name, ...side } of SIDES) {
      if (!shownSides.value.includes(id)) continue
      const whole = wholeCake(cakeRoom(commission.value, plan.value), side)
      const height = Math.round((PICTURE_PX * whole.window.height) / whole.window.width)
      const still = await drawStill(
        { scene: scene.value, ...whole, width: PICTURE_PX, height },
        preferences.stand !== 'small',
      )
      if (still) made.push({ name, dataUrl: await dataUrlOf(still), widthPx: PICTURE_PX, heightPx: height })
    }
    if (mine === asked) views.value = made
  },
  { immediate: true },
)

/** What an option would cost, as its quote says. */
const priceOf = ({ option: { id }, plan: planned }: PlannedOption): string =>
  printWorkingValue(suppliedFor(planned, choosing(commission.value, id)).quote.price, preferences.units)
const offered = computed(() =>
  planned.value.map((each) => ({ ...each, price: withPrice.value ? priceOf(each) : null })),
)
const paper = computed(() =>
  proposal({ plan: plan.value, commission: commission.value, units: preferences.units }, views.value, offered.value),
)

function toggle(id: string): void {
  const next = shownSides.value.includes(id)
    ? shownSides.value.filter((each) => each !== id)
    : [...shownSides.value, id]
  if (next.length >= LEAST_VIEWS) shownSides.value = next
}
</script>

<template>
  <div>
    <div class="no-print mb-3 flex flex-wrap items-start justify-between gap-4">
      <LeafHeading class="mb-0!" title="For the client"
        >{{ chosenOption(commission).name }} as it will stand, to agree on. Nothing of your hours or costs is in
        it.</LeafHeading
      >
      <PaperTools :papers="[paper]" ending="proposal" title="The page as PDF" />
    </div>
    <div class="no-print mb-4 flex flex-wrap items-center gap-x-4 gap-y-1.5" role="group" aria-label="What it shows">
      <PillButton v-for="side in SIDES" :key="side.id" :on="shownSides.includes(side.id)" @click="toggle(side.id)">{{
        side.name
      }}</PillButton>
      <SwitchField v-model="withPrice" data-testid="with-price">the price</SwitchField>
    </div>
    <PaperView :paper="paper" :data-drawn="views.length > 0 ? 'yes' : 'none'" />
  </div>
</template>
