<script setup lang="ts">
import { Pipette } from '@lucide/vue'
import { defineAsyncComponent, ref, watch } from 'vue'
import { colourName, cssHex } from '#core/tint'
import { usePlanned } from '~/composables/planned'
import IconButton from './IconButton.vue'

/** A colour: of the commission's palette, picked, typed as style sheets write it, or touched on one of its pictures. */
const props = defineProps<{ label: string; modelValue: string }>()
const emit = defineEmits<{ 'update:modelValue': [colour: string] }>()

const PhotoColour = defineAsyncComponent(() => import('./PhotoColour.vue'))
const { commission } = usePlanned()
const isTouching = ref(false)
const isWrong = ref(false)
watch(
  () => props.modelValue,
  () => {
    isWrong.value = false
  },
)

function type(event: Event): void {
  const hex = cssHex((event.target as HTMLInputElement).value)
  isWrong.value = hex === null
  if (hex) emit('update:modelValue', hex)
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-1.5" role="group" :aria-label="props.label">
    <span class="w-24 text-[0.88rem] text-ink-soft">{{ props.label }}</span>
    <button
      v-for="each in commission.palette"
      :key="each.name"
      type="button"
      class="size-8 rounded-full shadow-inner"
      :class="modelValue === each.colour ? 'ring-2 ring-go ring-offset-2 ring-offset-(--paper)' : ''"
      :style="{ background: each.colour }"
      :aria-pressed="modelValue === each.colour"
      :aria-label="each.name"
      :title="each.name"
      @click="emit('update:modelValue', each.colour)"
    />
    <input
      type="color"
      class="h-8 w-9 rounded-lg border-0 bg-transparent p-0"
      :aria-label="`${props.label}: another colour`"
      :value="modelValue"
      @change="emit('update:modelValue', ($event.target as HTMLInputElement).value)"
    />
    <input
      class="field-input min-h-8! w-24! text-[0.86rem]!"
      :aria-label="`${props.label}: typed`"
      :aria-invalid="isWrong"
      title="#d9572b, tomato, oklch(0.6 0.1 30)"
      spellcheck="false"
      :value="modelValue"
      @change="type"
    />
    <IconButton
      v-if="commission.brief.photos.length > 0"
      :icon="Pipette"
      round
      :says="`${props.label}: from a picture`"
      @click="isTouching = true"
    />
    <span class="text-[0.84rem] text-ink-soft">{{ colourName(modelValue, commission.palette) }}</span>
    <p v-if="isWrong" role="alert" class="w-full text-[0.86rem] text-stop">
      That is no colour. Try #d9572b, tomato or hsl(15 70% 50%).
    </p>
    <PhotoColour v-if="isTouching" @touched="emit('update:modelValue', $event)" @close="isTouching = false" />
  </div>
</template>
