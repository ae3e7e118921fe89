<script setup lang="ts">
import { PackageOpen, Plus, X } from '@lucide/vue'
import { computed, defineAsyncComponent, ref } from 'vue'
import { boxOf, MOST_REMNANTS, type Remnant } from '#core/cut'
import { paperOf, shapeName, type PaperId } from '#core/material'
import { offcutsFor } from '#core/mixture'
import { printQuantity, sumOf } from '#core/quantity'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'
import IconButton from '~/components/ui/IconButton.vue'

const RemnantDialog = defineAsyncComponent(() => import('./RemnantDialog.vue'))

/** What is left of the sheets: what it goes into, what is worth keeping, and what was kept before. */
const { plan, workshop, studio, commission } = usePlanned()
const preferences = usePreferences()

const measures = ref(false)

const offcuts = computed(() =>
  sumOf(
    'offcuts',
    'mass',
    'groups of sheets added up',
    plan.value.groups.map(({ offcuts: each }) => each),
  ),
)
const wanted = computed(() => offcutsFor(plan.value.mixtures))
const patches = computed(() => plan.value.wires.patches)
const isShort = computed(() => wanted.value.value > offcuts.value.value)

type Left = {
  readonly key: string
  readonly words: string
  readonly paper: PaperId
  readonly colour: string | null
  readonly name: string
  readonly widthMm: number
  readonly heightMm: number
  readonly count: number
}
const mm = (value: number): string => printQuantity(value, 'length', preferences.units)
const left = computed(() =>
  plan.value.groups.flatMap(({ id, paper, colour, layout, remainders }) =>
    remainders.map(({ sheet, plies, left: { widthMm, heightMm } }): Left => ({
      key: `${id} ${sheet}`,
      paper,
      colour,
      widthMm,
      heightMm,
      count: plies,
      name: `${shapeName(layout.sheets[sheet]!.shape)} ${paperOf(paper).name}, rest`,
      words: `${plies > 1 ? `${plies} of ` : ''}${mm(widthMm)} × ${mm(heightMm)} of ${paperOf(paper).name}, sheet ${sheet + 1}`,
    })),
  ),
)

/** For the next commission: this one's own sheets are not cut yet. */
function keep({ paper, colour, name, widthMm, heightMm, count }: Left): void {
  const [wide, high] = [Math.floor(widthMm), Math.floor(heightMm)]
  studio.edit('keep remnant', ({ workshop: kept }) => {
    const room = MOST_REMNANTS - kept.remnants.length
    kept.remnants.push(
      ...Array.from({ length: Math.min(count, room) }, () => ({
        id: crypto.randomUUID(),
        name,
        paper,
        colour,
        outline: [
          [0, 0],
          [wide, 0],
          [wide, high],
          [0, high],
        ] as [number, number][],
        from: commission.value.id,
      })),
    )
  })
}

const sizeOf = ({ outline }: Remnant): string => {
  const { widthMm, heightMm } = boxOf(outline.map(([x, y]) => ({ x, y })))
  return `${mm(widthMm)} × ${mm(heightMm)}`
}
const letGo = (id: string): void =>
  studio.edit('use up remnant', ({ workshop: kept }) => {
    kept.remnants = kept.remnants.filter((each) => each.id !== id)
  })
</script>

<template>
  <section aria-labelledby="offcuts" data-testid="offcuts">
    <h2 id="offcuts" class="part-title mb-1">What is left</h2>
    <p class="text-[0.94rem]">
      About <FigureLink :working="offcuts" after=" of offcuts" /><template v-if="wanted.value > 0"
        >; glue and slurry take <FigureLink :working="wanted" /></template
      ><template v-if="patches && patches.value > 0"
        >, small patches for <FigureLink :working="patches" /> places are torn from them</template
      >.
      <template v-if="plan.torn"
        >{{ ' ' }}Offcuts first, then
        <FigureLink :working="plan.torn.needed" :after="plan.torn.needed.value === 1 ? ' sheet' : ' sheets'" /> of
        {{ paperOf(plan.torn.paper).name }} torn whole.</template
      >
      <template v-else-if="isShort">
        That is not enough: tear one more sheet of the thinnest wafer for the glue.</template
      >
    </p>
    <ul v-if="left.length > 0" class="mt-1 grid gap-1 text-[0.94rem]">
      <li v-for="each in left" :key="each.key">
        Whole: {{ each.words }}
        <button
          v-if="workshop.remnants.length < MOST_REMNANTS"
          type="button"
          class="figure-link ml-1"
          @click="keep(each)"
        >
          Keep in stock
        </button>
      </li>
    </ul>
    <template v-if="workshop.remnants.length > 0">
      <h3 class="mt-3 mb-1 flex items-center gap-1.5 text-[0.94rem] font-semibold">
        <PackageOpen class="size-4" aria-hidden="true" />In stock: used first by template and machine, in the next
        commission
      </h3>
      <ul class="flex flex-wrap gap-2">
        <li
          v-for="each in workshop.remnants"
          :key="each.id"
          class="flex items-center gap-2 rounded-full bg-paper-deep py-1 pr-1 pl-3 text-[0.9rem]"
        >
          <span
            v-if="each.colour"
            class="size-3.5 rounded-full border border-line"
            :style="{ background: each.colour }"
            :title="`coloured ${each.colour}`"
          />{{ each.name }}, {{ paperOf(each.paper).name }}: {{ sizeOf(each)
          }}<IconButton :icon="X" round :says="`${each.name}, ${sizeOf(each)}, is used up`" @click="letGo(each.id)" />
        </li>
      </ul>
    </template>
    <button
      type="button"
      class="button mt-3"
      :disabled="workshop.remnants.length >= MOST_REMNANTS"
      @click="measures = true"
    >
      <Plus class="size-4.5" aria-hidden="true" />Measure a rest that lies here
    </button>
    <RemnantDialog v-if="measures" @close="measures = false" />
  </section>
</template>
