<script setup lang="ts">
import { ChevronDown } from '@lucide/vue'
import { useTurn } from '~/composables/turn'
import { useFolds } from './folds'

/** A part of a leaf that folds away; while it is folded one line says what is in it, and it comes after what is open. */
const props = defineProps<{ id: string; title: string; says: string }>()
const { isOpen, remember } = useFolds()
const hasTurn = useTurn()
const toggled = (event: Event): void => remember(props.id, (event.currentTarget as HTMLDetailsElement).open)
</script>

<template>
  <details
    class="group border-t border-line first-of-type:border-0"
    :open="isOpen(id)"
    :data-testid="`fold-${id}`"
    @toggle.self="toggled"
  >
    <summary
      class="flex min-h-12 cursor-pointer list-none items-baseline gap-3 py-2.5 [&::-webkit-details-marker]:hidden"
    >
      <ChevronDown
        class="size-4.5 shrink-0 -rotate-90 self-center text-ink-soft transition-transform group-open:rotate-0"
        aria-hidden="true"
      />
      <span class="font-display text-[1.2rem] font-semibold">{{ title }}</span>
      <span class="min-w-0 truncate text-[0.92rem] text-ink-soft group-open:hidden">{{ says }}</span>
    </summary>
    <div class="pt-1 pb-5"><slot v-if="hasTurn || isOpen(id)" /><span v-else hidden data-later /></div>
  </details>
</template>
