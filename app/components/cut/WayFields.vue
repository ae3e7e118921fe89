<script setup lang="ts">
import { Scissors } from '@lucide/vue'
import { computed } from 'vue'
import { MOST_LAYERS, MOST_PLIES, MOST_SIZES, WAY_WORDS, type Cutting, type CuttingWay } from '#core/cut'
import { wayChoices, type CutWork, type WayChoice } from '#core/plan'
import { printQuantity } from '#core/quantity'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'

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
  return `${paper}, ${printQuantity(minutes, 'duration', preferences.units)}`
}
const valueOf = (event: Event): string => (event.target as HTMLSelectElement).value
</script>

<template>
  <div class="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-1">
    <label class="block min-w-0 max-w-[36rem]"
      ><span class="sr-only">{{ name }} is cut by</span>
      <select
        class="field-input"
        :value="work.cutting.way"
        :data-testid="`way-${work.id}`"
        @change="emit('change', { way: valueOf($event) as CuttingWay })"
      >
        <option v-for="each in choices" :key="each.way" :value="each.way" :disabled="each.sheets === null">
          {{ WAY_WORDS[each.way].name }}: {{ text(each) }}{{ each.advised ? ', advised' : '' }}
        </option>
      </select>
    </label>
    <div class="flex flex-wrap items-center gap-x-5 text-[0.86rem] text-ink-soft">
      <label v-if="work.cutting.way !== 'machine'" class="flex items-center gap-1 whitespace-nowrap"
        ><select
          class="h-8 rounded-md bg-paper-deep px-1 text-ink"
          :value="work.cutting.plies"
          :data-testid="`plies-${work.id}`"
          @change="emit('change', { plies: Number(valueOf($event)) })"
        >
          <option v-for="plies in MOST_PLIES" :key="plies" :value="plies">{{ plies }}</option></select
        >at once</label
      >
      <label v-if="work.cutting.way === 'boxes'" class="flex items-center gap-1 whitespace-nowrap"
        >strips<select
          class="h-8 rounded-md bg-paper-deep px-1 text-ink"
          :value="work.cutting.layers"
          :data-testid="`layers-${work.id}`"
          @change="emit('change', { layers: Number(valueOf($event)) })"
        >
          <option v-for="layers in MOST_LAYERS" :key="layers" :value="layers">
            {{ layers === 1 ? 'flat' : `folded in ${layers}` }}
          </option>
        </select></label
      >
      <label
        v-if="work.cutting.way !== 'sectors'"
        class="flex items-center gap-1 whitespace-nowrap"
        title="Elements of many sizes are cut from so many templates at most"
        ><select
          class="h-8 rounded-md bg-paper-deep px-1 text-ink"
          :value="work.cutting.sizes"
          :data-testid="`sizes-${work.id}`"
          @change="emit('change', { sizes: Number(valueOf($event)) })"
        >
          <option v-for="sizes in MOST_SIZES" :key="sizes" :value="sizes">{{ sizes }}</option></select
        >{{ work.cutting.sizes === 1 ? 'size' : 'sizes at most' }}</label
      >
      <label class="flex h-8 items-center gap-1.5 whitespace-nowrap"
        ><input
          type="checkbox"
          class="size-4.5 accent-(--go)"
          :checked="work.cutting.colouredWhole"
          :data-testid="`whole-${work.id}`"
          @change="emit('change', { colouredWhole: ($event.target as HTMLInputElement).checked })"
        />sheets coloured first</label
      >
      <p v-if="advised && advised.way !== work.cutting.way">
        <Scissors class="mr-1 inline size-3.5" aria-hidden="true" />costs least:
        <button type="button" class="figure-link" @click="emit('change', { way: advised.way })">
          {{ WAY_WORDS[advised.way].name.toLowerCase() }}
        </button>
      </p>
    </div>
  </div>
</template>
