<script setup lang="ts">
import { Pencil } from '@lucide/vue'
import { nextTick, ref } from 'vue'
import IconButton from '~/components/ui/IconButton.vue'

/** The heading of a decoration, which can be called otherwise; nothing typed gives back the name of its technique. */
const props = defineProps<{ title: string; name: string; placeholder: string }>()
const emit = defineEmits<{ name: [name: string] }>()

const field = ref<HTMLInputElement | null>(null)
const draft = ref<string | null>(null)

async function begin(): Promise<void> {
  draft.value = props.name
  await nextTick()
  field.value?.select()
}
function end(): void {
  if (draft.value !== null && draft.value.trim() !== props.name) emit('name', draft.value.trim())
  draft.value = null
}
</script>

<template>
  <header class="mb-4 min-w-0">
    <input
      v-if="draft !== null"
      ref="field"
      v-model="draft"
      class="field-input max-w-md text-[1.4rem]!"
      maxlength="40"
      aria-label="Called"
      :placeholder="placeholder"
      data-testid="decoration-name"
      @keydown.enter="end"
      @keydown.esc.stop="draft = null"
      @blur="end"
    />
    <div v-else class="flex items-center gap-2">
      <h1 class="leaf-title min-w-0 break-words">{{ title }}</h1>
      <IconButton :icon="Pencil" says="Call it otherwise" round data-testid="rename" @click="begin" />
    </div>
    <p v-if="$slots.default" class="mt-1 max-w-[62ch] text-[1rem] text-ink-soft"><slot /></p>
  </header>
</template>
