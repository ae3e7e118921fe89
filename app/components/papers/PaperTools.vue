<script setup lang="ts">
import { FileDown, FileText, Printer, Sheet } from '@lucide/vue'
import { ref } from 'vue'
import type { Paper } from '#core/deliver'
import { usePlanned } from '~/composables/planned'
import { download, fileNameFor } from '~/files/download'
import { usePreferences } from '~/stores/preferences'

/** Papers to take along: printed from here, as a PDF, as text, as a table. */
const props = defineProps<{ papers: readonly Paper[]; ending: string; title: string }>()
const { commission } = usePlanned()
const preferences = usePreferences()
const writing = ref(false)
const problem = ref('')
const nameOf = (ending: string): string => fileNameFor(commission.value.brief.name, `-${props.ending}${ending}`)

async function savePdf(): Promise<void> {
  writing.value = true
  problem.value = ''
  try {
    const [{ writePapersPdf }, { pdfFonts }] = await Promise.all([
      import('#core/format/paperPdf'),
      import('~/files/pdfFonts'),
    ])
    download(
      await writePapersPdf(
        props.papers,
        `${commission.value.brief.name}: ${props.title.toLowerCase()}`,
        preferences.units === 'metric' ? 'A4' : 'letter',
        await pdfFonts(),
      ),
      nameOf('.pdf'),
      'application/pdf',
    )
  } catch (reason) {
    problem.value = `The PDF could not be written: ${String(reason)}. Text holds the same.`
  }
  writing.value = false
}
async function saveText(): Promise<void> {
  const { paperText } = await import('#core/format/paperText')
  download(props.papers.map(paperText).join('\n\n'), nameOf('.txt'), 'text/plain')
}
async function saveCsv(): Promise<void> {
  const { paperCsv } = await import('#core/format/paperText')
  download(props.papers.map(paperCsv).join('\n'), nameOf('.csv'), 'text/csv')
}
const print = (): void => window.print()
</script>

<template>
  <div class="no-print flex flex-wrap items-center gap-2">
    <button type="button" class="button button-go" :disabled="writing" :data-testid="`${ending}-pdf`" @click="savePdf">
      <FileDown class="size-4.5" aria-hidden="true" />{{ writing ? 'Writing…' : title }}
    </button>
    <button type="button" class="button" :data-testid="`${ending}-text`" @click="saveText">
      <FileText class="size-4.5" aria-hidden="true" />Text
    </button>
    <button type="button" class="button" :data-testid="`${ending}-csv`" @click="saveCsv">
      <Sheet class="size-4.5" aria-hidden="true" />Table
    </button>
    <button type="button" class="button" @click="print"><Printer class="size-4.5" aria-hidden="true" />Print</button>
    <p v-if="problem" role="alert" class="text-stop">{{ problem }}</p>
  </div>
</template>
