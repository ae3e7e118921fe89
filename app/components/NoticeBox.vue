<script setup lang="ts">
/** Something the studio has to say, with the ways out beside it. What stops the work is read out at once. */
defineProps<{ tone: 'stop' | 'look' | 'go' }>()
defineSlots<{ default: () => unknown; ways?: () => unknown }>()
const TONES = { stop: 'bg-stop-soft', look: 'bg-look-soft', go: 'bg-go-soft' } as const
</script>

<template>
  <div
    :role="tone === 'stop' ? 'alert' : 'status'"
    class="flex flex-wrap items-center gap-x-4 gap-y-2 rounded-xl px-4 py-2"
    :class="TONES[tone]"
  >
    <p class="min-w-64 flex-1 break-words"><slot /></p>
    <div v-if="$slots.ways" class="flex flex-wrap gap-2"><slot name="ways" /></div>
  </div>
</template>
