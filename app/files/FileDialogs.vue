<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { useFiles } from './files'
import { useStudioFiles } from './studioFiles'

const { waiting, refused, removing, input, read } = useFiles()
const studioFiles = useStudioFiles()
const hasCommissionFile = computed(() => waiting.value !== null || refused.value !== null || removing.value)
const hasStudioFile = computed(() =>
  [studioFiles.soFar, studioFiles.read, studioFiles.refused].some(({ value }) => value !== null),
)
const CommissionFileDialog = defineAsyncComponent(() => import('./CommissionFileDialog.vue'))
const StudioFileDialog = defineAsyncComponent(() => import('./StudioFileDialog.vue'))

async function chosen(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  field.value = ''
  if (file) await read(file)
}
</script>

<template>
  <div>
    <input
      ref="input"
      type="file"
      accept=".json,application/json"
      class="hidden"
      aria-label="Commission or studio file"
      data-testid="file-input"
      @change="chosen"
    />
    <StudioFileDialog v-if="hasStudioFile" />
    <CommissionFileDialog v-if="hasCommissionFile" />
  </div>
</template>
