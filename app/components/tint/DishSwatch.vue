<script setup lang="ts">
/** A dish seen from above, and its colour between those of its neighbours in working order. */
defineProps<{ place: number; hex: string; before: string | null; after: string | null }>()
</script>

<template>
  <div class="shrink-0 lg:mx-auto">
    <div
      :class="[
        'relative size-24 rounded-full',
        'border-[5px] border-paper-deep shadow-[inset_0_3px_10px_rgb(70_40_30/0.3),0_3px_10px_-3px_rgb(70_40_30/0.35)] lg:size-32',
      ]"
      :style="{ background: hex }"
      data-testid="dish"
    >
      <span
        class="absolute -top-1 -left-1 grid size-8 place-items-center rounded-full bg-paper font-display text-lg font-semibold shadow"
        >{{ place }}</span
      >
    </div>
    <div v-if="before || after" class="mx-auto mt-2 flex h-4 w-20 overflow-hidden rounded-sm" aria-hidden="true">
      <span v-if="before" class="flex-1" :style="{ background: before }" /><span
        class="flex-[2]"
        :style="{ background: hex }"
      /><span v-if="after" class="flex-1" :style="{ background: after }" />
    </div>
  </div>
</template>
