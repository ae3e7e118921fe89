<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { NuxtLink } from '#components'
import { useNuxtApp } from '#imports'
import { counted } from '#core/quantity'
import { useFiles } from '~/files/files'
import { useStudioFiles } from '~/files/studioFiles'
import { troubleSentence } from '~/stores/trouble'
import { useStudio } from '~/stores/studio'

/** What the studio has to say above every leaf, each with the way out, and each until its cause is gone. */
const studio = useStudio()
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
    : `${counted(studio.unsaved, 'edit')} could not be saved yet: ${studio.stuck}. Keep this page open.`,
)
/** Until the page is opened again. */
const later = ref(false)
const isReminded = computed(() => studio.isFileDue && !later.value)
const { $pwa } = useNuxtApp()
const canUndo = computed(() => studio.canUndo && studio.commission !== null)
</script>

<template>
  <div class="no-print grid gap-2 not-empty:mb-3">
    <p v-if="studio.notice" role="alert" class="rounded-xl bg-stop-soft px-4 py-2" data-testid="notice">
      {{ studio.notice }} <button type="button" class="figure-link" @click="studio.notice = ''">Understood</button>
    </p>
    <div
      v-if="trouble"
      role="alert"
      class="flex flex-wrap items-center gap-x-4 gap-y-2 rounded-xl bg-stop-soft px-4 py-2"
      data-testid="studio-trouble"
    >
      <p class="min-w-64 flex-1 break-words">{{ trouble }}</p>
      <div class="flex flex-wrap gap-2">
        <button v-if="canUndo" type="button" class="button min-h-9" @click="studio.undo()">
          Take back the last edit
        </button>
        <button v-if="studio.commission" type="button" class="button min-h-9" @click="files.saveCommission()">
          Save to a file
        </button>
        <NuxtLink v-if="studio.commission" to="/shelf" class="button min-h-9">To the shelf</NuxtLink>
        <button type="button" class="button min-h-9" data-testid="try-again" @click="studio.tryAgain()">
          Try again
        </button>
      </div>
    </div>
    <div
      v-if="unsaved"
      role="alert"
      class="flex flex-wrap items-center gap-x-4 gap-y-2 rounded-xl bg-stop-soft px-4 py-2"
      data-testid="not-saved"
    >
      <p class="min-w-64 flex-1">{{ unsaved }}</p>
      <div class="flex flex-wrap gap-2">
        <button type="button" class="button min-h-9" @click="files.saveCommission()">Save to a file</button>
        <button type="button" class="button min-h-9" @click="studio.tryAgain()">Try again</button>
      </div>
    </div>
    <div
      v-if="takesLong && studio.isPlanning"
      role="status"
      class="flex flex-wrap items-center gap-x-4 gap-y-2 rounded-xl bg-look-soft px-4 py-2"
      data-testid="takes-long"
    >
      <p class="min-w-64 flex-1">
        Working the plan out takes long<template v-if="studio.plan">; the figures are those of before</template>.
      </p>
      <button type="button" class="button min-h-9" @click="studio.stop()">Stop</button>
    </div>
    <p
      v-if="isReminded"
      role="status"
      class="flex flex-wrap items-center gap-x-4 gap-y-2 rounded-xl bg-look-soft px-4 py-2"
      data-testid="file-due"
    >
      <span class="min-w-64 flex-1">{{ studio.lastFile }} A file outlives this browser.</span>
      <button type="button" class="button min-h-9" @click="studioFiles.save()">Save the whole studio</button>
      <button type="button" class="button min-h-9" @click="later = true">Later</button>
    </p>
    <p
      v-if="$pwa?.needRefresh"
      role="status"
      class="flex flex-wrap items-center gap-x-4 gap-y-2 rounded-xl bg-go-soft px-4 py-2"
      data-testid="newer"
    >
      <span class="min-w-64 flex-1">A newer Lamellon is here. What you typed is kept while it is taken over.</span>
      <button type="button" class="button min-h-9" @click="$pwa.updateServiceWorker()">Take it over</button>
    </p>
  </div>
</template>
