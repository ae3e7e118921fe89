<script setup lang="ts">
import { X } from '@lucide/vue'
import { z } from 'zod'
import { paperOf } from '#core/material'
import { MOST_STOCK, SHELF_WORDS, SHELVES, type ShelfId } from '#core/supply'
import { usePlanned } from '~/composables/planned'
import { givenName, useSubmitted } from '~/composables/submitted'
import IconButton from '~/components/ui/IconButton.vue'
import WorkshopField from '~/components/ui/WorkshopField.vue'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf } from '~/components/ui/choice'

/** Formers, moulds and ovens, rests of sheets, and things of one's own that no plan asks for. */
const { studio, workshop } = usePlanned()
const moulds = ['halfSphere', 'foamHole', 'pan', 'fan', 'rack', 'dryRoom'] as const
const { field, submit, beginAgain, problem } = useSubmitted(
  z.object({ name: givenName(80), shelf: z.enum(SHELVES) }),
  () => ({ name: '', shelf: 'equipment' as ShelfId }),
  (own) => {
    studio.edit('own item', ({ workshop: draft }) => {
      draft.stock.push({
        ...own,
        item: `own ${crypto.randomUUID()}`,
        kind: 'count',
        onHand: 1,
        pack: 1,
        packPrice: null,
      })
    })
    beginAgain()
  },
)
const [name] = field('name')
const [shelf] = field('shelf')
const letGo = (id: string): void =>
  studio.edit('a rest is gone', ({ workshop: draft }) => {
    draft.remnants = draft.remnants.filter((each) => each.id !== id)
  })
const SHELF_CHOICES = choicesOf(SHELVES, (each) => SHELF_WORDS[each])
</script>

<template>
  <section aria-label="Formers, tools, rests" data-testid="equipment" class="grid gap-4">
    <div>
      <h3 class="part-title mb-1">Formers and tools</h3>
      <div class="grid grid-cols-2 gap-x-5 gap-y-2 sm:grid-cols-4">
        <WorkshopField label="Mats" group="mats" name="count" edits="mats" />
        <WorkshopField label="Trays" group="trays" name="count" edits="trays" />
        <WorkshopField group="own" name="ovenPlaces" edits="oven places" />
        <WorkshopField group="own" name="desiccantG" edits="desiccant" />
        <WorkshopField v-for="mould in moulds" :key="mould" group="moulds" :name="mould" edits="moulds" />
      </div>
    </div>
    <div v-if="workshop.remnants.length > 0">
      <h3 class="part-title mb-1">Rests of sheets, used first</h3>
      <ul>
        <li
          v-for="rest in workshop.remnants"
          :key="rest.id"
          class="flex items-center justify-between gap-3 border-t border-line py-1"
        >
          {{ rest.name }}, {{ paperOf(rest.paper).name
          }}<IconButton :icon="X" round :says="`Gone: ${rest.name}`" @click="letGo(rest.id)" />
        </li>
      </ul>
    </div>
    <form class="flex flex-wrap items-end gap-3" novalidate @submit="submit">
      <label class="min-w-52 flex-1 text-[0.8rem] text-ink-soft"
        >Something of your own<input v-model="name" class="field-input text-ink" maxlength="80"
      /></label>
      <ChoiceField v-model="shelf" class="w-44" label="Shelf" :choices="SHELF_CHOICES" />
      <button type="submit" class="button" :disabled="workshop.stock.length >= MOST_STOCK" data-testid="add-item">
        Put it there
      </button>
      <p v-if="problem" role="alert" class="w-full text-[0.88rem] text-stop">{{ problem }}</p>
    </form>
  </section>
</template>
