<script setup lang="ts">
import { Minus, Plus } from '@lucide/vue'
import { computed } from 'vue'
import type { StepCard } from '#core/make'
import { useBench } from '~/stores/bench'
import IconButton from '~/components/ui/IconButton.vue'

/** Good and broken pieces by tapping; keys count the first kind. */
const props = defineProps<{ card: StepCard }>()
const bench = useBench()
const rows = computed(
  () =>
    props.card.counts?.parts.flatMap(({ id, many }) => {
      const part = bench.parts.find((each) => each.id === id)
      return part ? [{ part, many }] : []
    }) ?? [],
)
</script>

<template>
  <section v-if="rows.length > 0" aria-label="Pieces">
    <h2 class="part-title mb-1">Pieces</h2>
    <ul class="grid gap-2">
      <li
        v-for="{ part, many } in rows"
        :key="part.id"
        class="rounded-2xl bg-paper-deep px-3 py-2"
        :data-testid="`count-${part.id}`"
      >
        <p class="flex flex-wrap items-baseline justify-between gap-x-3 text-[0.95rem]">
          <span class="font-semibold">{{ part.name }}</span><span
            :class="
              part.toSpare < 0 ? 'font-semibold text-stop' : part.toSpare === 0 ? 'text-look-ink' : 'text-ink-soft'
            "
            >{{ many === part.cut ? '' : `${many} here, ` }}{{ part.needed }} needed,
            {{ part.toSpare < 0 ? `${-part.toSpare} short` : `${part.toSpare} to spare` }}</span
          >
        </p>
        <div class="mt-1 grid grid-cols-2 gap-2">
          <div class="flex items-center gap-1">
            <IconButton
              :icon="Minus"
              round
              large
              :says="`One less good: ${part.name}`"
              @click="bench.count(part.id, 'good', -1)"
            />
            <button
              type="button"
              class="flex min-h-14 flex-1 items-center justify-center gap-2 rounded-xl bg-go-soft text-[1.05rem] font-semibold"
              :aria-label="`One more good: ${part.name}`"
              data-testid="good"
              @click="bench.count(part.id, 'good', 1)"
            >
              <Plus class="size-5" aria-hidden="true" />good {{ part.good }}
            </button>
          </div>
          <div class="flex items-center gap-1">
            <button
              type="button"
              class="flex min-h-14 flex-1 items-center justify-center gap-2 rounded-xl bg-stop-soft text-[1.05rem] font-semibold"
              :aria-label="`One more broken: ${part.name}`"
              data-testid="broken"
              @click="bench.count(part.id, 'broken', 1)"
            >
              <Plus class="size-5" aria-hidden="true" />broken {{ part.broken }}
            </button>
            <IconButton
              :icon="Minus"
              round
              large
              :says="`One less broken: ${part.name}`"
              @click="bench.count(part.id, 'broken', -1)"
            />
          </div>
        </div>
      </li>
    </ul>
  </section>
</template>
