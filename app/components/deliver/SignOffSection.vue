<script setup lang="ts">
import { computed, ref } from 'vue'
import { dateClockText } from '#core/quantity'
import PhotoShelf from '~/components/ui/PhotoShelf.vue'
import { usePlanned } from '~/composables/planned'
import { useBench } from '~/stores/bench'

/** Pictures of what was delivered, and who handed over to whom. */
const MOST = 8
const { studio, commission, plan } = usePlanned()
const bench = useBench()
const handed = computed(() => commission.value.bench.handedOver)
const by = ref(handed.value?.by ?? '')
const to = ref(handed.value?.to ?? '')
const notes = ref(handed.value?.notes ?? '')
const open = computed(() =>
  plan.value.inedible.filter(
    ({ id, stays }) => !stays && (bench.bench.cameOut[id] ?? 0) < (bench.bench.wentIn[id] ?? 0),
  ),
)
const handOver = (): void =>
  bench.change('handed over', (before) => ({
    ...before,
    handedOver: { at: studio.now, by: by.value.trim(), to: to.value.trim(), notes: notes.value.trim() },
  }))
</script>

<template>
  <section aria-label="Hand-over" class="no-print grid max-w-2xl gap-3" data-testid="sign-off">
    <PhotoShelf
      :photos="commission.bench.photos"
      :most="MOST"
      label="Photograph"
      mark="delivered-photo"
      @add="
        bench.change('photograph', (before) => ({ ...before, photos: [...before.photos, ...$event].slice(0, MOST) }))
      "
      @remove="
        bench.change('remove a photograph', (before) => ({
          ...before,
          photos: before.photos.filter(({ id }) => id !== $event),
        }))
      "
    />
    <div class="grid gap-x-5 gap-y-2 sm:grid-cols-2">
      <label class="text-[0.9rem] text-ink-soft"
        >Handed over by<input v-model="by" maxlength="80" class="field-input text-ink"
      /></label>
      <label class="text-[0.9rem] text-ink-soft"
        >Taken over by<input v-model="to" maxlength="80" class="field-input text-ink"
      /></label>
      <label class="text-[0.9rem] text-ink-soft sm:col-span-2"
        >Notes<textarea v-model="notes" rows="2" maxlength="2000" class="field-input text-ink" />
      </label>
    </div>
    <p v-if="open.length > 0" class="rounded-xl bg-stop-soft px-3.5 py-2">
      Still in: {{ open.map(({ name }) => name).join(', ') }}. Count them out first.
    </p>
    <button type="button" class="button button-go w-fit" data-testid="hand-over" @click="handOver">
      {{ handed ? 'Hand over anew' : 'Handed over now' }}
    </button>
    <p v-if="handed" role="status">
      Handed over {{ dateClockText(handed.at) }}{{ handed.to ? ` to ${handed.to}` : '' }}. Look back at it in Learn.
    </p>
  </section>
</template>
