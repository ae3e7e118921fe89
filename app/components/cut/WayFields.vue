<script setup lang="ts">
import { Scissors } from '@lucide/vue'
import { computed } from 'vue'
import {
  MOST_LAYERS,
  MOST_PLIES,
  MOST_SIZES,
  WAY_WORDS,
  type Cutting,
  type CuttingChoice,
  type CuttingWay,
} from '#core/cut'
import { advisedOf, paperTaken, wayChoices, whyAdvised, type CutWork, type WayChoice } from '#core/plan'
import { printQuantity } from '#core/quantity'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf, type Choice } from '~/components/ui/choice'
import SwitchField from '~/components/ui/SwitchField.vue'

/**
 * How one thing is cut: the way, all of them compared, how many sheets at once, strips folded, sheets coloured whole.
 */
const props = defineProps<{ name: string; work: CutWork }>()
const emit = defineEmits<{ change: [cutting: Partial<Cutting>] }>()
const { workshop } = usePlanned()
const preferences = usePreferences()

/** Compared anew only when this thing changes: laying it out each way takes a while. */
const choices = computed((): readonly WayChoice[] =>
  wayChoices(props.work, workshop.value.tools, workshop.value.prices.sheetEach, workshop.value.prices.hour),
)
const advised = computed(() => choices.value.find((each) => each.advised))
function text(choice: WayChoice): string {
  const { minutes, about } = choice
  const paper = paperTaken(choice)
  if (paper === null) return 'not possible here'
  return `${about ? 'about ' : ''}${paper}, ${printQuantity(Math.max(1, minutes), 'duration', preferences.units)}`
}
/** The way it is cut: the one that was chosen, or the one that is advised. */
const way = computed<CuttingWay>(() => {
  const chosen = props.work.cutting.way
  return chosen === 'advised' ? advisedOf(choices.value) : chosen
})
/** What it takes, and why it is advised if it is. */
const takes = computed(() => {
  const told = whyAdvised(choices.value)
  if (told && advised.value?.way === way.value) return `Advised: ${told}.`
  const own = choices.value.find((each) => each.way === way.value)
  return own ? `${text(own)}.` : ''
})
/** How it is set now, in a line. */
const finer = computed(() => {
  const { plies, layers, sizes, colouredWhole } = props.work.cutting
  return [
    ...(way.value === 'machine' ? [] : [saysOf(AT_ONCE, plies)]),
    ...(way.value === 'boxes' ? [saysOf(FOLDED, layers)] : []),
    ...(way.value === 'sectors' ? [] : [saysOf(TEMPLATES, sizes)]),
    ...(colouredWhole ? ['sheets coloured first'] : []),
  ].join(', ')
})
const saysOf = (choices: readonly Choice<number>[], value: number): string =>
  choices.find((each) => each.value === value)?.says ?? ''
const wayFields = computed((): readonly Choice<CuttingChoice>[] => [
  {
    value: 'advised',
    says: advised.value ? `As advised: ${WAY_WORDS[advised.value.way].name.toLowerCase()}` : 'As advised',
  },
  ...choices.value.map((each) => ({
    value: each.way,
    says: `${WAY_WORDS[each.way].name}: ${text(each)}`,
    disabled: each.sheets === null,
  })),
])
const upTo = (most: number): readonly number[] => Array.from({ length: most }, (_, at) => at + 1)
const AT_ONCE = choicesOf(upTo(MOST_PLIES), (plies) => (plies === 1 ? 'one sheet at a time' : `${plies} at once`))
const FOLDED = choicesOf(upTo(MOST_LAYERS), (layers) => (layers === 1 ? 'strips flat' : `strips folded in ${layers}`))
const TEMPLATES = choicesOf(upTo(MOST_SIZES), (sizes) => (sizes === 1 ? 'one size' : `${sizes} sizes at most`))
</script>

<template>
  <div class="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-1">
    <ChoiceField
      class="max-w-[36rem]"
      hide-label
      :label="`${name} is cut by`"
      :choices="wayFields"
      :shown="work.cutting.way === 'advised' ? `${WAY_WORDS[way].name}, as advised` : WAY_WORDS[way].name"
      :model-value="work.cutting.way"
      :data-testid="`way-${work.id}`"
      @update:model-value="emit('change', { way: $event })"
    />
    <p class="text-[0.86rem] text-ink-soft">{{ takes }}</p>
    <p v-if="advised && advised.way !== way" class="text-[0.86rem] text-ink-soft">
      <Scissors class="mr-1 inline size-3.5" aria-hidden="true" />costs least:
      <button type="button" class="figure-link" @click="emit('change', { way: 'advised' })">
        {{ WAY_WORDS[advised.way].name.toLowerCase() }}
      </button>
    </p>
    <details class="text-[0.86rem] text-ink-soft" :data-testid="`finer-${work.id}`">
      <summary>{{ finer }}</summary>
      <div class="flex flex-wrap items-center gap-x-5 gap-y-1 pt-1">
        <ChoiceField
          v-if="way !== 'machine'"
          hide-label
          label="Sheets cut at once"
          :choices="AT_ONCE"
          :model-value="work.cutting.plies"
          :data-testid="`plies-${work.id}`"
          @update:model-value="emit('change', { plies: $event })"
        />
        <ChoiceField
          v-if="way === 'boxes'"
          hide-label
          label="Strips folded"
          :choices="FOLDED"
          :model-value="work.cutting.layers"
          :data-testid="`layers-${work.id}`"
          @update:model-value="emit('change', { layers: $event })"
        />
        <ChoiceField
          v-if="way !== 'sectors'"
          hide-label
          label="Templates for many sizes"
          title="Elements of many sizes are cut from so many templates at most"
          :choices="TEMPLATES"
          :model-value="work.cutting.sizes"
          :data-testid="`sizes-${work.id}`"
          @update:model-value="emit('change', { sizes: $event })"
        />
        <SwitchField
          :model-value="work.cutting.colouredWhole"
          :data-testid="`whole-${work.id}`"
          @update:model-value="emit('change', { colouredWhole: $event })"
          >sheets coloured first</SwitchField
        >
      </div>
    </details>
  </div>
</template>
