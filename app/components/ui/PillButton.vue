<script setup lang="ts">
/** One of a row of buttons that are on or off. */
defineProps<{ on: boolean }>()
</script>

<template>
  <button
    type="button"
    class="min-h-9 rounded-full px-3.5 text-[0.9rem] hover:bg-go-soft"
    :class="on ? 'bg-go-soft font-semibold shadow-[inset_0_0_0_1.5px_var(--go)]' : 'bg-paper-deep'"
    :aria-pressed="on"
  >
    <slot />
  </button>
</template>
