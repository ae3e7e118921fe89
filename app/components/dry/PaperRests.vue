<script setup lang="ts">
import { computed } from 'vue'
import { DRYING_WORDS, panMin, paperSheet, type DryingWay } from '#core/dry'
import { waysFor } from '#core/plan'
import { techniqueOf } from '#core/technique'
import { dayClockText, found, printDuration } from '#core/quantity'
import WorkshopField from '~/components/ui/WorkshopField.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import { useChangedWay } from './changedWay'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf } from '~/components/ui/choice'

/** What paper wants: rests of each decoration in this room, and how long it stays stiff on the cake. */
const { plan, commission, editDecorations } = usePlanned()
const SHORT_MIN = 20
const isSoaked = (id: string): boolean => plan.value.dryings.some(({ decorations }) => decorations.includes(id))
/** What rests here, in which ways it may dry, and what it comes to; no rests where it never gets so dry. */
const rests = computed(() =>
  plan.value.decorations
    .filter(({ elements }) => elements.length > 0)
    .map((each) => {
      const made = plan.value.work.making.find(({ decoration }) => decoration === each.id)
      return {
        id: each.id,
        name: each.name,
        way: each.drying.way,
        // How soaked film dries is chosen with its curve.
        ways: isSoaked(each.id) ? [] : waysFor(each),
        isNever: !made && !isSoaked(each.id),
        rests: made?.steps.filter(({ rest }) => rest.value >= SHORT_MIN) ?? [],
      }
    })
    .filter((each) => each.rests.length > 0 || each.isNever),
)
const { remember } = useChangedWay()
function dryIn(id: string, way: DryingWay): void {
  remember(plan.value.decorations.find((each) => each.id === id)!.drying.way, way)
  editDecorations([id], 'way of drying', (each) => {
    each.drying.way = way
  })
}
/** Ways that are chosen and of which a studio has so many. */
const counted = computed(() =>
  (['fan', 'dryRoom'] as const).filter((way) => rests.value.some((each) => each.ways.length > 0 && each.way === way)),
)
/** Where it lies and in what it dries after a step. */
const where = ({ hold, air }: (typeof plan.value.work.making)[number]['steps'][number]): string =>
  [hold?.name, air?.name].flatMap((name) => (name ? [`, ${name}`] : [])).join('')
const PAN_C = 140
const WATER_G = 3
/** Decorations that dry in a pan. */
const inPan = computed(() =>
  plan.value.decorations
    .filter(({ technique, elements }) => elements.length > 0 && techniqueOf(technique).heat === 'pan')
    .map(({ id, name, thicknessMm }) => ({
      id,
      name,
      pan: found(
        'in the pan',
        panMin(paperSheet('wafer', thicknessMm), WATER_G, PAN_C, commission.value.brief.workroom.airC),
        'duration',
        'contact heat of a pan at 140 °C on 3 g/dm² of water',
      ),
    })),
)
const stiff = (minutes: number | null): string =>
  minutes === null ? 'two days and more' : `about ${printDuration(minutes)}`
</script>

<template>
  <div class="grid gap-x-10 gap-y-6 md:grid-cols-2">
    <section v-if="rests.length > 0" aria-labelledby="rests" data-testid="rests">
      <h2 id="rests" class="part-title mb-1">Paper in this room</h2>
      <ul class="grid gap-1">
        <li v-for="each in rests" :key="each.id" class="border-t border-line py-1 text-[0.94rem]">
          <b>{{ each.name }}</b><span v-if="each.isNever" class="font-semibold text-stop">
            is unlikely to get dry enough this way</span
          ><span v-else class="text-ink-soft">
            rests
            <template v-for="(step, at) in each.rests" :key="step.id"
              >{{ at > 0 ? '; ' : '' }}<FigureLink :working="step.rest" /> after “{{ step.name.toLowerCase() }}”{{
                where(step)
              }}</template
            ></span
          >
          <ChoiceField
            v-if="each.ways.length > 1"
            class="mt-1 max-w-60"
            label="dries"
            :data-testid="`dries-${each.id}`"
            :choices="choicesOf(each.ways, (way) => DRYING_WORDS[way].name.toLowerCase())"
            :model-value="each.way"
            @update:model-value="dryIn(each.id, $event)"
          />
        </li>
      </ul>
      <div v-if="counted.length > 0" class="mt-2 grid max-w-md grid-cols-2 gap-x-5">
        <WorkshopField
          v-for="way in counted"
          :key="way"
          group="moulds"
          :name="way"
          :edits="DRYING_WORDS[way].name.toLowerCase()"
        />
      </div>
      <p v-for="{ id, name, pan } in inPan" :key="id" class="mt-1 text-[0.94rem]">
        {{ name }}: about <FigureLink :working="pan" /> in the pan; out while it still bends.
      </p>
      <p v-for="{ decoration, name, touch } in plan.conditioned" :key="decoration" class="mt-1 text-[0.94rem]">
        <template v-if="touch"
          >{{ name }}: paper with glycerin is dry to the touch after about <FigureLink :working="touch" /> before a fan,
          and stays flexible.</template
        ><template v-else>{{ name }}: paper with glycerin stays tacky in this room.</template>
      </p>
    </section>
    <section aria-labelledby="stays-stiff" data-testid="on-the-cake">
      <h2 id="stays-stiff" class="part-title mb-1">
        On the cake, at the venue’s {{ Math.round(commission.brief.venue.humidity * 100) }} %
      </h2>
      <ul class="grid gap-1">
        <li v-for="each in plan.onTheCake" :key="each.tier" class="border-t border-line py-1 text-[0.94rem]">
          Tier {{ each.tier + 1 }}, {{ each.covering }}:
          <span class="text-ink-soft"
            >standing {{ stiff(each.standingMin) }}, lying flat {{ stiff(each.lyingMin)
            }}<template v-if="each.placeFrom !== null"
              >; not before <b class="text-ink">{{ dayClockText(each.placeFrom) }}</b></template
            ></span
          >
        </li>
      </ul>
      <p class="mt-1 text-[0.84rem] text-ink-soft">
        Rough guesses: recipes differ. It concerns shape, not whether food is safe.
      </p>
    </section>
  </div>
</template>
