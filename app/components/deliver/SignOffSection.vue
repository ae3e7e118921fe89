<script setup lang="ts">
import { computed, useId } from 'vue'
import { z } from 'zod'
import { dateClockText } from '#core/quantity'
import PhotoShelf from '~/components/ui/PhotoShelf.vue'
import { usePlanned } from '~/composables/planned'
import { remark, useSubmitted } from '~/composables/submitted'
import { useBench } from '~/stores/bench'

/** Pictures of what was delivered, and who handed over to whom. */
const MOST = 8
const form = useId()
const { studio, commission, plan } = usePlanned()
const bench = useBench()
const handed = computed(() => commission.value.bench.handedOver)
const { field, submit } = useSubmitted(
  z.object({ by: remark(80), to: remark(80), notes: remark(2000) }),
  () => ({ by: handed.value?.by ?? '', to: handed.value?.to ?? '', notes: handed.value?.notes ?? '' }),
  (told) => bench.change('handed over', (before) => ({ ...before, handedOver: { at: studio.now, ...told } })),
)
const [by] = field('by')
const [to] = field('to')
const [notes] = field('notes')
const open = computed(() =>
  plan.value.inedible.filter(
    ({ id, stays }) => !stays && (bench.bench.cameOut[id] ?? 0) < (bench.bench.wentIn[id] ?? 0),
  ),
)
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
    <form :id="form" class="grid gap-x-5 gap-y-2 sm:grid-cols-2" novalidate @submit="submit">
      <label class="text-[0.9rem] text-ink-soft"
        >Handed over by<input v-model="by" maxlength="80" class="field-input text-ink"
      /></label>
      <label class="text-[0.9rem] text-ink-soft"
        >Taken over by<input v-model="to" maxlength="80" class="field-input text-ink"
      /></label>
      <label class="text-[0.9rem] text-ink-soft sm:col-span-2"
        >Notes<textarea v-model="notes" rows="2" maxlength="2000" class="field-input text-ink" />
      </label>
    </form>
    <p v-if="open.length > 0" class="rounded-xl bg-stop-soft px-3.5 py-2">
      Still in: {{ open.map(({ name }) => name).join(', ') }}. Count them out first.
    </p>
    <button type="submit" :form class="button button-go w-fit" data-testid="hand-over">
      {{ handed ? 'Hand over anew' : 'Handed over now' }}
    </button>
    <p v-if="handed" role="status">
      Handed over {{ dateClockText(handed.at) }}{{ handed.to ? ` to ${handed.to}` : '' }}. Look back at it in Learn.
    </p>
  </section>
</template>
