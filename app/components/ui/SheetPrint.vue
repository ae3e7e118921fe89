<script setup lang="ts">
import { Download } from '@lucide/vue'
import { ref } from 'vue'
import type { Picture } from '#core/draw'
import type { PrintPaper } from '#core/format/pdf/drawings'
import { saveSheetsAsPdf, saveSheetsAsSvg } from '~/files/sheets'
import ChoiceField from './ChoiceField.vue'
import { choicesOf } from './choice'

/** Saves pictures at true size. `mark` tells the buttons of several on one page apart. */
const props = defineProps<{ sheets: readonly Picture[]; title: string; name: string; ending: string; mark?: string }>()

const PAPER_WORDS: Readonly<Record<PrintPaper, string>> = { A4: 'A4', A3: 'A3', letter: 'Letter' }
const PAPERS = choicesOf(['A4', 'A3', 'letter'] as const, (each) => `${PAPER_WORDS[each]}, joined where larger`)
const paper = ref<PrintPaper>('A4')
const writing = ref(false)
const problem = ref('')

async function savePdf(): Promise<void> {
  writing.value = true
  problem.value = ''
  try {
    await saveSheetsAsPdf(props.sheets, props.title, paper.value, props.name, props.ending)
  } catch (reason) {
    problem.value = `The PDF could not be written: ${String(reason)}. The SVG holds the same.`
  }
  writing.value = false
}
</script>

<template>
  <div>
    <ChoiceField v-model="paper" class="mb-2" label="Paper" :choices="PAPERS" />
    <div class="flex flex-wrap gap-2">
      <button
        type="button"
        class="button button-go"
        :disabled="writing"
        :data-testid="`${mark ?? 'save'}-pdf`"
        @click="savePdf"
      >
        <Download class="size-4.5" aria-hidden="true" />{{ writing ? 'Writing…' : 'PDF' }}
      </button>
      <button
        type="button"
        class="button"
        :data-testid="`${mark ?? 'save'}-svg`"
        @click="saveSheetsAsSvg(sheets, title, name, ending)"
      >
        <Download class="size-4.5" aria-hidden="true" />SVG
      </button>
    </div>
    <p v-if="problem" role="alert" class="mt-2 text-stop">{{ problem }}</p>
  </div>
</template>
