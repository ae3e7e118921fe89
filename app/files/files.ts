import { ref, shallowRef } from 'vue'
import type { CommissionFile } from '#core/format/commissionFile'
import { STARTING_WORKSHOP } from '#core/workshop'
import { useStudio } from '~/stores/studio'
import { previewOf, type Preview } from './comparison'
import { download, fileNameFor } from './download'
import { useStudioFiles } from './studioFiles'

type Waiting = { readonly name: string; readonly file: CommissionFile; readonly preview: Preview }

const waiting = shallowRef<Waiting | null>(null)
const refused = shallowRef<{ readonly name: string; readonly sentence: string } | null>(null)
const removing = ref(false)
const input = shallowRef<HTMLInputElement | null>(null)

/** Files in and out. A file is read and checked first, shown, and only then taken. */
export function useFiles() {
  const studio = useStudio()
  const studioFiles = useStudioFiles()

  async function read(file: File): Promise<void> {
    const text = await file.text()
    const { isStudioFile } = await import('#core/format/studioFile')
    if (isStudioFile(text)) return studioFiles.readFile(file.name, text)
    const { fileSentence, readCommissionFile } = await import('#core/format/commissionFile')
    const result = readCommissionFile(text)
    if (!result.ok) {
      refused.value = { name: file.name, sentence: fileSentence(result.error) }
      return
    }
    const kept = await studio.peek(result.value.commission.id)
    waiting.value = {
      name: file.name,
      file: result.value,
      preview: previewOf(kept, studio.workshop ?? STARTING_WORKSHOP, result.value.commission, result.value.workshop),
    }
  }

  return {
    waiting,
    refused,
    removing,
    input,
    read,
    choose: (): void => input.value?.click(),
    close: (): void => {
      waiting.value = null
      refused.value = null
      removing.value = false
    },
    askRemove: (): void => {
      removing.value = true
    },
    async saveCommission(): Promise<void> {
      if (!studio.state) return
      const { writeCommissionFile } = await import('#core/format/commissionFile')
      download(
        writeCommissionFile(studio.state),
        fileNameFor(studio.state.commission.brief.name, '.lamellon.json'),
        'application/json',
      )
    },
  }
}
