<script setup lang="ts">
defineProps<{ title: string }>()
</script>

<template>
  <header class="mb-4">
    <h1 class="leaf-title">{{ title }}</h1>
    <p v-if="$slots.default" class="mt-1 max-w-[62ch] text-[1rem] text-ink-soft"><slot /></p>
  </header>
</template>
