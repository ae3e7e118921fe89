<script setup lang="ts">
import { found, printDuration, type Working } from '#core/quantity'
import type { DryingRemedy } from '#core/dry'
import WorkshopField from '~/components/ui/WorkshopField.vue'
import FigureLink from '~/components/working/FigureLink.vue'

/** Other ways of drying the film, each tried by the same curve: what it gains, and what must be boxed after. */
defineProps<{ remedies: readonly DryingRemedy[] }>()
const walked = (words: string, setMin: number): Working =>
  found('usually set hard', setMin, 'duration', `walk of the drying curve, film soaked till limp, ${words}`)
</script>

<template>
  <section v-if="remedies.length > 0" aria-labelledby="remedies" data-testid="remedies">
    <h2 id="remedies" class="part-title mb-1">Other ways, usually</h2>
    <table class="w-full max-w-xl text-[0.94rem]">
      <thead class="text-left text-[0.8rem] text-ink-soft">
        <tr>
          <th class="font-normal">dried</th>
          <th class="text-right font-normal whitespace-nowrap">set hard after</th>
          <th class="text-right font-normal">gains</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="{ id, words, inBox, setMin, gainedMin, mustBeBoxed } in remedies"
          :key="id"
          class="border-t border-line"
          :data-testid="`remedy-${id}`"
        >
          <th scope="row" class="py-1 text-left font-semibold first-letter:uppercase">
            {{ words
            }}<span v-if="inBox" class="block text-[0.84rem] font-normal text-ink-soft"
              >they give off <FigureLink :working="inBox.water" />: the air there holds at
              <FigureLink :working="inBox.humidity" /></span
            ><span v-if="mustBeBoxed && setMin !== null" class="block text-[0.84rem] font-normal text-look-ink"
              >boxed at once, or it goes soft again here</span
            >
          </th>
          <td class="py-1 text-right align-top whitespace-nowrap">
            <FigureLink v-if="setMin !== null" :working="walked(words, setMin)" /><template v-else>never here</template>
          </td>
          <td class="py-1 pl-4 text-right align-top whitespace-nowrap text-ink-soft">
            {{
              id !== 'mat' && gainedMin !== null && Math.abs(gainedMin) >= 5
                ? `${gainedMin < 0 ? '−' : ''}${printDuration(Math.abs(gainedMin))}`
                : ''
            }}
          </td>
        </tr>
      </tbody>
    </table>
    <div class="mt-1 flex flex-wrap items-end gap-x-5 gap-y-1">
      <WorkshopField group="own" name="desiccantG" edits="desiccant" class="w-32" />
      <p class="text-[0.84rem] text-ink-soft">
        Medians of the model; one drying in ten takes twice as long. A box takes what is firm already: what is wet would
        be more than its desiccant holds.
      </p>
    </div>
  </section>
</template>
