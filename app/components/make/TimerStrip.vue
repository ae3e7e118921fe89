<script setup lang="ts">
import { BellRing, X } from '@lucide/vue'
import { useBench } from '~/stores/bench'
import { timerText } from './timerText'
import IconButton from '~/components/ui/IconButton.vue'

/** Timers that run, the one that rings first. */
const bench = useBench()
</script>

<template>
  <ul v-if="bench.timers.length > 0" class="flex flex-wrap gap-2" aria-label="Timers" data-testid="timers">
    <li
      v-for="timer in bench.timers"
      :key="timer.id"
      class="flex min-h-12 items-center gap-2 rounded-2xl py-1 pr-1 pl-3"
      :class="timer.left <= 0 ? 'bg-look-soft' : 'bg-paper-deep'"
    >
      <BellRing v-if="timer.left <= 0" class="size-5 text-look-ink" aria-hidden="true" />
      <span class="min-w-0"
        ><span class="block truncate text-[0.82rem] text-ink-soft">{{ timer.name }}</span
        ><span class="font-display text-[1.25rem] leading-tight font-semibold" role="timer">{{
          timerText(timer.left)
        }}</span></span
      >
      <IconButton :icon="X" round large :says="`Stop the timer: ${timer.name}`" @click="bench.stopTimer(timer.id)" />
    </li>
  </ul>
</template>
