<script setup lang="ts">
import { runEnds } from '#core/decoration'
import { techniqueOf } from '#core/technique'
import { computed } from 'vue'
import {
  isSameShape,
  PAPER_KINDS,
  paperIds,
  paperOf,
  shapeKey,
  shapeName,
  type PaperId,
  type StockShape,
} from '#core/material'
import QuantitySlider from '~/components/ui/QuantitySlider.vue'
import ColourChoice from '~/components/ui/ColourChoice.vue'
import { RUN_STEPS } from './schemas'
import { usePlanned } from '~/composables/planned'
import { useDecoration } from './editing'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf } from '~/components/ui/choice'
import SwitchField from '~/components/ui/SwitchField.vue'

/** Paper, sheets and colours of a decoration, with what Lamellon proposes and why. */
const props = defineProps<{ id: string }>()
const { workshop } = usePlanned()
const { decoration, made, edit } = useDecoration(() => props.id)

const ends = computed(() => runEnds(decoration.value.technique))
const technique = computed(() => techniqueOf(decoration.value.technique))
const paper = computed(() => paperOf(decoration.value.paper))
const proposed = computed(() => paperOf(technique.value.papers[0]!))
/** Sizes of its paper that the studio knows, and whether it is cut from each. */
const known = computed(() => workshop.value.papers.filter((each) => each.paper === decoration.value.paper))
const isTaken = (shape: StockShape): boolean => (made.value?.shapes ?? []).some((each) => isSameShape(each, shape))
const best = computed(() => made.value?.sizes.find(({ sheets }) => sheets !== null) ?? null)
const own = computed(() => made.value?.sizes.find(({ shape }) => isTaken(shape)) ?? null)
const sizeWords = computed(() => {
  if (!best.value || !own.value || technique.value.fromDiscs) return ''
  if (isSameShape(best.value.shape, own.value.shape))
    return `${shapeName(own.value.shape)} takes the least paper for these pieces.`
  const many = `${best.value.sheets} ${best.value.sheets === 1 ? 'sheet' : 'sheets'}`
  const instead = own.value.sheets === best.value.sheets ? '' : ` instead of ${own.value.sheets}`
  const besides = own.value.sheets === null ? '; the pieces are larger than the sheet chosen' : instead
  return `${shapeName(best.value.shape)} would take less paper: ${many}${besides}.`
})

/** How many sheets of a size it would take. */
const countOn = (shape: StockShape): string => {
  const choice = made.value?.sizes.find((each) => isSameShape(each.shape, shape))
  return !choice ? '' : choice.sheets === null ? ', too small' : `, ${choice.sheets}`
}

const choosePaper = (id: PaperId): void =>
  edit('paper', (each) => {
    each.paper = id
    each.stock = []
  })
/** One size for what is cut from sheets; any of those in use for what comes in portions of discs. */
const take = (shape: StockShape): void =>
  edit('sheets', (each) => {
    each.stock = [shape]
  })
const toggle = (shape: StockShape, taken: boolean): void => {
  const before = made.value?.shapes ?? []
  const next = taken ? [...before, shape] : before.filter((each) => !isSameShape(each, shape))
  if (next.length === 0) return
  edit('discs', (each) => {
    each.stock = [...next]
  })
}
const takeKey = (key: string): void => take(known.value.find(({ shape }) => shapeKey(shape) === key)!.shape)
const paperChoices = computed(() =>
  choicesOf(paperIds, (each) => `${paperOf(each).name}${suits(each) ? '' : ' (does not suit)'}`),
)
const suits = (each: PaperId): boolean => technique.value.papers.includes(each)
const sheetChoices = computed(() =>
  known.value.map(({ shape }) => ({ value: shapeKey(shape), says: `${shapeName(shape)}${countOn(shape)}` })),
)
</script>

<template>
  <section v-if="made">
    <h2 class="part-title mb-1">Paper and colour</h2>
    <div class="flex flex-wrap gap-x-5 gap-y-2">
      <ChoiceField
        class="min-w-40"
        label="Paper"
        data-testid="paper"
        :choices="paperChoices"
        :model-value="decoration.paper"
        @update:model-value="choosePaper"
      />
      <ChoiceField
        v-if="!technique.fromDiscs"
        class="min-w-40"
        label="Sheets of"
        :choices="sheetChoices"
        :model-value="shapeKey(made.shapes[0]!)"
        @update:model-value="takeKey"
      />
      <fieldset v-else data-testid="discs">
        <legend class="text-[0.8rem] text-ink-soft">May be cut from</legend>
        <div class="flex flex-wrap gap-x-4">
          <SwitchField
            v-for="{ shape } in known"
            :key="shapeKey(shape)"
            :model-value="isTaken(shape)"
            @update:model-value="toggle(shape, $event)"
            >{{ shapeName(shape) }}</SwitchField
          >
        </div>
      </fieldset>
    </div>
    <p class="mt-1 text-[0.9rem]" :class="made.unfit ? 'text-stop' : 'text-ink-soft'" data-testid="paper-says">
      {{ made.unfit ?? technique.whyPaper
      }}<template v-if="made.unfit">
        <button type="button" class="figure-link" @click="choosePaper(proposed.id as PaperId)">
          Take {{ proposed.name }}
        </button></template
      >
    </p>
    <p class="mt-0.5 text-[0.9rem] text-ink-soft">
      {{ sizeWords }}
      <button
        v-if="sizeWords && best && own && !isSameShape(best.shape, own.shape)"
        type="button"
        class="figure-link"
        @click="take(best.shape)"
      >
        Take it
      </button>
    </p>
    <p class="mt-1 rounded-lg bg-look-soft px-2.5 py-1 text-[0.86rem]">
      <b>{{ PAPER_KINDS[paper.kind].name }}.</b> {{ PAPER_KINDS[paper.kind].tells }}
    </p>
    <div class="mt-3 grid gap-1.5">
      <ColourChoice
        :label="decoration.colour.steps > 1 ? ends.heart : 'Colour'"
        :model-value="decoration.colour.heart"
        @update:model-value="
          edit('colour', (each) => {
            each.colour.heart = $event
          })
        "
      />
      <ColourChoice
        v-if="decoration.colour.steps > 1"
        :label="ends.tail"
        :model-value="decoration.colour.tail"
        @update:model-value="
          edit('tail colour', (each) => {
            each.colour.tail = $event
          })
        "
      />
      <div class="max-w-60">
        <QuantitySlider
          :schema="RUN_STEPS"
          :model-value="decoration.colour.steps"
          data-testid="run-steps"
          @update:model-value="
            edit(
              'shades',
              (each) => {
                each.colour.steps = $event
              },
              'run',
            )
          "
        />
      </div>
    </div>
  </section>
</template>
