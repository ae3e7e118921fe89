<script setup lang="ts">
import { EyeOff, Flower2 } from '@lucide/vue'

/** A decoration or a bouquet among those on the cake. */
defineProps<{
  tab: {
    readonly id: string
    readonly name: string
    readonly count: number
    readonly colour: string
    readonly bouquet: boolean
  }
  open: boolean
  hidden: boolean
}>()
</script>

<template>
  <button
    type="button"
    class="button min-h-9 gap-1.5! px-2.5 text-[0.88rem]"
    :class="open ? 'bg-go-soft ring-2 ring-go' : ''"
    :aria-pressed="open"
    :aria-keyshortcuts="tab.bouquet ? undefined : 'Alt+ArrowLeft Alt+ArrowRight'"
    :data-id="tab.id"
  >
    <Flower2 v-if="tab.bouquet" class="size-4 text-go" aria-hidden="true" /><span
      v-else
      class="size-3.5 rounded-full shadow-inner"
      :style="{ background: tab.colour }"
      aria-hidden="true"
    />{{ tab.name }}<span class="font-normal text-ink-soft">{{ tab.count }}</span
    ><EyeOff v-if="hidden" class="size-3.5 text-ink-soft" role="img" aria-label="hidden on the stand" />
  </button>
</template>
