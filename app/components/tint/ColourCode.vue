<script setup lang="ts">
/** What a colour is as a code, for who wants to type it elsewhere: told when it is asked for. */
defineProps<{ hex: string }>()
</script>

<template>
  <details class="text-[0.82rem] text-ink-soft">
    <summary>its code</summary>
    <span class="select-all">{{ hex }}</span>
  </details>
</template>
