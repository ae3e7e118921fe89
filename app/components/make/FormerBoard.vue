<script setup lang="ts">
import { computed } from 'vue'
import { dayClockText, printDuration } from '#core/quantity'
import { useBench } from '~/stores/bench'
import { useStudio } from '~/stores/studio'

/** What lies where since when, and when it may come off. */
const bench = useBench()
const studio = useStudio()
const rows = computed(() =>
  bench.board.map((on) => ({
    on,
    left: on.readyAt - studio.now,
    share: Math.min(1, Math.max(0.02, (studio.now - on.since) / Math.max(1, on.readyAt - on.since))),
  })),
)
</script>

<template>
  <section v-if="rows.length > 0" aria-label="On formers" data-testid="former-board">
    <h2 class="part-title mb-2">Drying now</h2>
    <ul class="grid gap-2">
      <li v-for="{ on, left, share } in rows" :key="on.task" class="rounded-2xl bg-paper-deep px-3 py-2.5">
        <p class="flex items-baseline justify-between gap-3">
          <span class="font-semibold"
            >{{ on.name }} <span class="font-normal text-ink-soft">{{ on.where }}</span></span
          ><span :class="left <= 0 ? 'font-semibold text-go' : 'text-ink-soft'">{{
            left <= 0 ? 'should be ready' : `${printDuration(left)} to go`
          }}</span>
        </p>
        <div class="mt-1.5 h-1.5 rounded-full bg-line" aria-hidden="true">
          <div class="h-full rounded-full bg-go" :style="{ width: `${share * 100}%` }" />
        </div>
        <div class="mt-1.5 flex flex-wrap items-center justify-between gap-2 text-[0.86rem] text-ink-soft">
          <span
            >since {{ dayClockText(on.since) }}, ready {{ dayClockText(on.readyAt)
            }}<template v-if="on.feltAfterMin !== null"
              >; still soft after {{ printDuration(on.feltAfterMin) }}</template
            ></span
          >
          <span class="flex gap-2"
            ><button type="button" class="button bg-paper!" @click="bench.stillSoft(on)">Still soft</button
            ><button v-if="on.soaked === null" type="button" class="button bg-paper!" @click="bench.isReady(on)">
              It is ready
            </button></span
          >
        </div>
      </li>
    </ul>
  </section>
</template>
