<script setup lang="ts">
import { Scissors } from '@lucide/vue'
import { computed } from 'vue'
import { MOST_LAYERS, MOST_PLIES, MOST_SIZES, WAY_WORDS, type Cutting } from '#core/cut'
import { wayChoices, whyAdvised, type CutWork, type WayChoice } from '#core/plan'
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
const choices = computed(() =>
  wayChoices(props.work, workshop.value.tools, workshop.value.prices.sheetEach, workshop.value.prices.hour),
)
const advised = computed(() => choices.value.find((each) => each.advised))
function text({ sheets, minutes, about }: WayChoice): string {
  if (sheets === null) return 'not possible here'
  const paper = `${about ? 'about ' : ''}${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}`
  return `${paper}, ${printQuantity(Math.max(1, minutes), 'duration', preferences.units)}`
}
/** What the chosen way takes, and why it is advised if it is. */
const takes = computed(() => {
  const told = whyAdvised(choices.value)
  if (told && advised.value?.way === props.work.cutting.way) return `Advised: ${told}.`
  const own = choices.value.find(({ way }) => way === props.work.cutting.way)
  return own ? `${text(own)}.` : ''
})
/** How it is set now, in a line. */
const finer = computed(() => {
  const { way, plies, layers, sizes, colouredWhole } = props.work.cutting
  return [
    ...(way === 'machine' ? [] : [saysOf(AT_ONCE, plies)]),
    ...(way === 'boxes' ? [saysOf(FOLDED, layers)] : []),
    ...(way === 'sectors' ? [] : [saysOf(TEMPLATES, sizes)]),
    ...(colouredWhole ? ['sheets coloured first'] : []),
  ].join(', ')
})
const saysOf = (choices: readonly Choice<number>[], value: number): string =>
  choices.find((each) => each.value === value)?.says ?? ''
const wayFields = computed(() =>
  choices.value.map((each) => ({
    value: each.way,
    says: `${WAY_WORDS[each.way].name}: ${text(each)}${each.advised ? ', advised' : ''}`,
    disabled: each.sheets === null,
  })),
)
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
      :shown="WAY_WORDS[work.cutting.way].name"
      :model-value="work.cutting.way"
      :data-testid="`way-${work.id}`"
      @update:model-value="emit('change', { way: $event })"
    />
    <p class="text-[0.86rem] text-ink-soft">{{ takes }}</p>
    <p v-if="advised && advised.way !== work.cutting.way" class="text-[0.86rem] text-ink-soft">
      <Scissors class="mr-1 inline size-3.5" aria-hidden="true" />costs least:
      <button type="button" class="figure-link" @click="emit('change', { way: advised.way })">
        {{ WAY_WORDS[advised.way].name.toLowerCase() }}
      </button>
    </p>
    <details class="text-[0.86rem] text-ink-soft" :data-testid="`finer-${work.id}`">
      <summary>{{ finer }}</summary>
      <div class="flex flex-wrap items-center gap-x-5 gap-y-1 pt-1">
        <ChoiceField
          v-if="work.cutting.way !== 'machine'"
          hide-label
          label="Sheets cut at once"
          :choices="AT_ONCE"
          :model-value="work.cutting.plies"
          :data-testid="`plies-${work.id}`"
          @update:model-value="emit('change', { plies: $event })"
        />
        <ChoiceField
          v-if="work.cutting.way === 'boxes'"
          hide-label
          label="Strips folded"
          :choices="FOLDED"
          :model-value="work.cutting.layers"
          :data-testid="`layers-${work.id}`"
          @update:model-value="emit('change', { layers: $event })"
        />
        <ChoiceField
          v-if="work.cutting.way !== 'sectors'"
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
