<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from '#imports'
import { counted } from '#core/quantity'
import SheetDialog from '~/components/ui/SheetDialog.vue'
import SwitchField from '~/components/ui/SwitchField.vue'
import { useStudioFiles } from './studioFiles'

/** A studio file on its way out or in: how far it is, why it was refused, or what taking it would do. */
const { soFar, read, refused, take, stop, close } = useStudioFiles()
const router = useRouter()
const withWorkshop = ref(true)

const title = computed(() =>
  soFar.value ? 'The studio file' : refused.value ? 'Nothing was done' : 'Take this studio file?',
)
const lines = computed(() => {
  if (!read.value) return []
  const { new: added, changed, same } = read.value.counts
  return [
    added > 0 ? `${counted(added, 'commission')} that ${added === 1 ? 'is' : 'are'} not here yet will be added.` : '',
    changed > 0 ? `${counted(changed, 'commission')} here will be changed; each change can be taken back.` : '',
    same > 0 ? `${counted(same, 'commission')} ${same === 1 ? 'is' : 'are'} the same as here.` : '',
  ].filter((line) => line !== '')
})
async function takeIt(): Promise<void> {
  await take(withWorkshop.value)
  await router.push('/shelf')
}
const left = (): void => (soFar.value ? stop() : close())
</script>

<template>
  <SheetDialog :title="title" width="small" data-testid="studio-file" @close="left">
    <template v-if="soFar">
      <p role="status">{{ soFar.what }}: {{ soFar.done }} of {{ counted(soFar.total, 'commission') }}</p>
      <progress
        class="mt-3 w-full accent-go"
        :value="soFar.done"
        :max="Math.max(1, soFar.total)"
        aria-label="How far"
      />
    </template>
    <template v-else-if="refused">
      <p class="text-ink-soft">{{ refused.name }}</p>
      <p class="mt-3 rounded-xl bg-stop-soft px-4 py-3 break-words" data-testid="file-refused">
        {{ refused.sentence }}
      </p>
    </template>
    <template v-else-if="read">
      <p class="text-ink-soft">{{ read.name }}</p>
      <ul class="mt-2 list-disc pl-5">
        <li v-for="line in lines" :key="line">{{ line }}</li>
      </ul>
      <div class="mt-4">
        <SwitchField v-model="withWorkshop">Take over its workshop too, for all commissions here</SwitchField>
      </div>
    </template>
    <template v-if="!refused" #actions>
      <button v-if="soFar" type="button" class="button" @click="stop">Stop</button>
      <template v-else>
        <button type="button" class="button" @click="close">Leave it</button>
        <button type="button" class="button button-go" data-testid="take-studio" @click="takeIt">Take it</button>
      </template>
    </template>
  </SheetDialog>
</template>
