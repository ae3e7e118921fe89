<script setup lang="ts">
import { techniqueOf } from '#core/technique'
import { computed } from 'vue'
import { PAPER_KINDS, paperOf, PAPERS, type FormatId, type PaperId } from '#core/material'
import QuantitySlider from '~/components/ui/QuantitySlider.vue'
import ColourChoice from '~/components/ui/ColourChoice.vue'
import { RUN_STEPS } from './schemas'
import { useDecoration } from './editing'

/** Paper, sheets and colours of a decoration, with what Lamellon proposes and why. */
const props = defineProps<{ id: string }>()
const { decoration, made, edit } = useDecoration(() => props.id)

const technique = computed(() => techniqueOf(decoration.value.technique))
const paper = computed(() => paperOf(decoration.value.paper))
const proposed = computed(() => paperOf(technique.value.papers[0]!))
const best = computed(() => made.value?.formats.find(({ sheets }) => sheets !== null) ?? null)
const formatWords = computed(() => {
  const own = made.value?.formats.find(({ format }) => format === made.value!.format)
  if (!best.value || !own) return ''
  if (best.value.format === own.format) return `${own.name} takes the least paper for these pieces.`
  const many = `${best.value.sheets} ${best.value.sheets === 1 ? 'sheet' : 'sheets'}`
  const instead = own.sheets === best.value.sheets ? '' : ` instead of ${own.sheets}`
  const besides = own.sheets === null ? '; the pieces are larger than the sheet chosen' : instead
  return `${best.value.name} would take less paper: ${many}${besides}.`
})

const choosePaper = (id: PaperId): void =>
  edit('paper', (each) => {
    each.paper = id
    each.format = paperOf(id).formats[0]!
  })
</script>

<template>
  <section v-if="made">
    <h2 class="part-title mb-1">Paper and colour</h2>
    <div class="flex flex-wrap gap-x-5 gap-y-2">
      <div>
        <label :for="`paper-${id}`" class="block text-[0.8rem] text-ink-soft">Paper</label
        ><select
          :id="`paper-${id}`"
          class="field-input min-w-40"
          :value="decoration.paper"
          @change="choosePaper(($event.target as HTMLSelectElement).value as PaperId)"
        >
          <option v-for="each in PAPERS" :key="each.id" :value="each.id">
            {{ each.name }}{{ technique.papers.includes(each.id) ? '' : ' (does not suit)' }}
          </option>
        </select>
      </div>
      <div>
        <label :for="`format-${id}`" class="block text-[0.8rem] text-ink-soft">Sheets of</label
        ><select
          :id="`format-${id}`"
          class="field-input min-w-40"
          :value="made.format"
          @change="
            edit('sheets', (each) => {
              each.format = ($event.target as HTMLSelectElement).value as FormatId
            })
          "
        >
          <option v-for="each in made.formats" :key="each.format" :value="each.format">
            {{ each.name }}{{ each.sheets === null ? ', too small' : `, ${each.sheets}` }}
          </option>
        </select>
      </div>
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
      {{ formatWords }}
      <button
        v-if="best && best.format !== made.format"
        type="button"
        class="figure-link"
        @click="
          edit('sheets', (each) => {
            each.format = best!.format
          })
        "
      >
        Take it
      </button>
    </p>
    <p class="mt-1 rounded-lg bg-look-soft px-2.5 py-1 text-[0.86rem]">
      <b>{{ PAPER_KINDS[paper.kind].name }}.</b> {{ PAPER_KINDS[paper.kind].tells }}
    </p>
    <div class="mt-3 grid gap-1.5">
      <ColourChoice
        :label="decoration.run.steps > 1 ? 'At the heart' : 'Colour'"
        :model-value="decoration.colour"
        @update:model-value="
          edit('colour', (each) => {
            each.colour = $event
          })
        "
      />
      <ColourChoice
        v-if="decoration.run.steps > 1"
        label="At the tail"
        :model-value="decoration.run.tail"
        @update:model-value="
          edit('tail colour', (each) => {
            each.run.tail = $event
          })
        "
      />
      <div class="max-w-60">
        <QuantitySlider
          :schema="RUN_STEPS"
          :model-value="decoration.run.steps"
          data-testid="run-steps"
          @update:model-value="
            edit(
              'shades',
              (each) => {
                each.run.steps = $event
              },
              'run',
            )
          "
        />
      </div>
    </div>
  </section>
</template>
