<script setup lang="ts">
import type { Component } from 'vue'

/** A button that is an icon, with its words for who cannot see it. Large ones are touched at the bench. */
defineProps<{ icon: Component; says: string; round?: boolean; large?: boolean }>()
</script>

<template>
  <button
    type="button"
    :class="
      round
        ? ['place-items-center rounded-full hover:bg-line', large ? 'grid size-11' : 'inline-grid size-9']
        : 'button min-h-9 px-2.5'
    "
    :aria-label="says"
  >
    <component :is="icon" :class="large ? 'size-5' : 'size-4.5'" aria-hidden="true" />
  </button>
</template>
