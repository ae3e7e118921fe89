<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { NuxtLink } from '#components'
import { useNuxtApp } from '#imports'
import { counted } from '#core/quantity'
import NoticeBox from '~/components/NoticeBox.vue'
import { useFiles } from '~/files/files'
import { useStudioFiles } from '~/files/studioFiles'
import { troubleSentence } from '~/stores/trouble'
import { useShelf } from '~/stores/shelf'
import { useStudio } from '~/stores/studio'

/** What the studio has to say above every leaf, each with the way out, and each until its cause is gone. */
const studio = useStudio()
const shelf = useShelf()
const files = useFiles()
const studioFiles = useStudioFiles()
/** A plan usually takes less than a second; nobody need wonder before this. */
const LONG_MS = 5000
const takesLong = ref(false)
const wait = useTimeoutFn(() => (takesLong.value = true), LONG_MS, { immediate: false })
watch(
  () => studio.isPlanning,
  (isPlanning) => {
    takesLong.value = false
    if (isPlanning) wait.start()
    else wait.stop()
  },
  { immediate: true },
)

const trouble = computed(() => (studio.trouble ? troubleSentence(studio.trouble, studio.plan !== null) : ''))
/** Where saving is stuck, the last edits are in this page only. */
const unsaved = computed(() =>
  studio.stuck === ''
    ? ''
    : `${counted(studio.unsaved, 'edit')} could not be saved yet. ${studio.stuck}. Keep this page open.`,
)
/** Until the page is opened again. */
const later = ref(false)
const isReminded = computed(() => shelf.isFileDue && !later.value)
const { $pwa } = useNuxtApp()
/** The page is read anew as soon as the newer one is in charge, also where none was when this page was opened. */
function takeOver(): void {
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true })
  void $pwa?.updateServiceWorker()
}
const canUndo = computed(() => studio.canUndo && studio.commission !== null)
</script>

<template>
  <div class="no-print grid gap-2 not-empty:mb-3">
    <NoticeBox v-if="studio.notice" tone="stop" data-testid="notice">
      {{ studio.notice }} <button type="button" class="figure-link" @click="studio.notice = ''">Understood</button>
    </NoticeBox>
    <NoticeBox v-if="trouble" tone="stop" data-testid="studio-trouble">
      {{ trouble }}
      <template #ways>
        <button v-if="canUndo" type="button" class="button min-h-9" @click="studio.undo()">
          Take back the last edit
        </button>
        <template v-if="studio.commission">
          <button type="button" class="button min-h-9" @click="files.saveCommission()">Save to a file</button>
          <NuxtLink to="/shelf" class="button min-h-9">To the shelf</NuxtLink>
        </template>
        <button type="button" class="button min-h-9" data-testid="try-again" @click="studio.tryAgain()">
          Try again
        </button>
      </template>
    </NoticeBox>
    <NoticeBox v-if="unsaved" tone="stop" data-testid="not-saved">
      {{ unsaved }}
      <template #ways>
        <button type="button" class="button min-h-9" @click="files.saveCommission()">Save to a file</button>
        <button type="button" class="button min-h-9" @click="studio.tryAgain()">Try again</button>
      </template>
    </NoticeBox>
    <NoticeBox v-if="takesLong && studio.isPlanning" tone="look" data-testid="takes-long">
      Working the plan out takes long<template v-if="studio.plan">; the figures are those of before</template>.
      <template #ways><button type="button" class="button min-h-9" @click="studio.stop()">Stop</button></template>
    </NoticeBox>
    <NoticeBox v-if="isReminded" tone="look" data-testid="file-due">
      {{ shelf.lastFile }} A file outlives this browser.
      <template #ways>
        <button type="button" class="button min-h-9" @click="studioFiles.save()">Save the whole studio</button>
        <button type="button" class="button min-h-9" @click="later = true">Later</button>
      </template>
    </NoticeBox>
    <NoticeBox v-if="$pwa?.needRefresh" tone="go" data-testid="newer">
      A newer Lamellon is here. What you typed is kept while it is taken over.
      <template #ways>
        <button type="button" class="button min-h-9" @click="takeOver">Take it over</button>
      </template>
    </NoticeBox>
  </div>
</template>
