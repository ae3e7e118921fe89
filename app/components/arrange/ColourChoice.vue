<script setup lang="ts">
import { usePlanned } from '~/composables/planned'

/** A colour of the commission's palette, or another. */
const props = defineProps<{ label: string, modelValue: string }>()
const emit = defineEmits<{ 'update:modelValue': [colour: string] }>()

const { commission } = usePlanned()
</script>

<template>
  <div class="flex flex-wrap items-center gap-1.5" role="group" :aria-label="props.label">
    <span class="w-24 text-[0.88rem] text-ink-soft">{{ props.label }}</span>
    <button v-for="each in commission.palette" :key="each.name" type="button" class="size-8 rounded-full shadow-inner" :class="modelValue === each.colour ? 'ring-2 ring-go ring-offset-2 ring-offset-(--paper)' : ''" :style="{ background: each.colour }" :aria-pressed="modelValue === each.colour" :aria-label="each.name" :title="each.name" @click="emit('update:modelValue', each.colour)" />
    <label class="flex items-center gap-1.5 text-[0.88rem]"><input type="color" class="h-8 w-9 rounded-lg border-0 bg-transparent p-0" :value="modelValue" @change="emit('update:modelValue', ($event.target as HTMLInputElement).value)">another</label>
  </div>
</template>
