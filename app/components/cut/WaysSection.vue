<script setup lang="ts">
import { Scissors } from '@lucide/vue'
import { computed } from 'vue'
import { MOST_PLIES, WAY_WORDS, type CuttingWay } from '#core/cut'
import { printQuantity } from '#core/quantity'
import { wayChoices, type WayChoice } from '#core/plan'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'

/** How each decoration is cut, all ways compared, with what Lamellon advises. */
const { plan, workshop, editOption } = usePlanned()
const preferences = usePreferences()

const rows = computed(() => plan.value.paperwork.filter(({ classes }) => classes.length > 0).map((made) => ({
  made, choices: wayChoices(made, workshop.value.tools, workshop.value.prices.sheetEach, workshop.value.prices.hour),
})))

const choose = (id: string, way: CuttingWay): void => editOption('way of cutting', ({ paperwork }) => { paperwork.find((each) => each.id === id)!.cutting.way = way })
const stack = (id: string, plies: number): void => editOption('sheets at once', ({ paperwork }) => { paperwork.find((each) => each.id === id)!.cutting.plies = plies })
const isStacked = (way: CuttingWay): boolean => way === 'boxes' || way === 'punch'
const text = ({ sheets, strokes, minutes, about, way }: WayChoice): string => sheets === null ? 'not possible here'
  : `${about ? 'about ' : ''}${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}, ${way === 'machine' ? '' : `${strokes} strokes, `}${printQuantity(minutes, 'duration', preferences.units)}`
</script>

<template>
  <section aria-labelledby="ways">
    <h2 id="ways" class="part-title mb-1">How each is cut</h2>
    <ul class="grid gap-2">
      <li v-for="{ made, choices } in rows" :key="made.id" class="grid grid-cols-[minmax(7rem,10rem)_1fr] items-baseline gap-x-3 sm:grid-cols-[10rem_minmax(12rem,34rem)_auto] sm:justify-start">
        <b class="text-[0.94rem]">{{ made.name }}</b>
        <label class="block"><span class="sr-only">{{ made.name }} is cut by</span>
          <select class="field-input" :value="made.cutting.way" :data-testid="`way-${made.id}`" @change="choose(made.id, ($event.target as HTMLSelectElement).value as CuttingWay)">
            <option v-for="each in choices" :key="each.way" :value="each.way" :disabled="each.sheets === null">{{ WAY_WORDS[each.way].name }}: {{ text(each) }}{{ each.advised ? ', advised' : '' }}</option>
          </select>
        </label>
        <label v-if="isStacked(made.cutting.way)" class="flex items-baseline gap-1.5 whitespace-nowrap max-sm:col-start-2"><select class="field-input w-14" :value="made.cutting.plies" @change="stack(made.id, Number(($event.target as HTMLSelectElement).value))"><option v-for="plies in MOST_PLIES" :key="plies" :value="plies">{{ plies }}</option></select><span class="text-[0.86rem] text-ink-soft">at once</span></label>
        <p v-if="choices.some(({ advised, way }) => advised && way !== made.cutting.way)" class="col-span-full text-[0.86rem] text-ink-soft sm:col-start-2"><Scissors class="mr-1 inline size-3.5" aria-hidden="true" />Costs least in paper and time: <button type="button" class="figure-link" @click="choose(made.id, choices.find(({ advised }) => advised)!.way)">{{ WAY_WORDS[choices.find(({ advised }) => advised)!.way].name.toLowerCase() }}</button></p>
      </li>
    </ul>
  </section>
</template>
