<script setup lang="ts">
import { Plus, X } from '@lucide/vue'
import { PALETTE_ROLES, type Commission } from '#core/plan'
import { usePlanned } from '~/composables/planned'

const { studio, commission } = usePlanned()
const MOST_COLOURS = 24

type Named = Commission['palette'][number]
const set = (at: number, label: string, change: (named: Named) => void): void => studio.edit(label, (draft) => change(draft.commission.palette[at]!), `${label} ${at}`)
const add = (): void => studio.edit('add a colour', (draft) => { draft.commission.palette.push({ name: 'new colour', colour: '#c9b8a3', role: 'accent' }) })
const remove = (at: number): void => studio.edit('remove a colour', (draft) => { draft.commission.palette.splice(at, 1) })

function rename(at: number, event: Event): void {
  const field = event.target as HTMLInputElement
  const name = field.value.trim().slice(0, 40)
  if (name) set(at, 'colour name', (named) => { named.name = name })
  else field.value = commission.value.palette[at]!.name
}
</script>

<template>
  <fieldset>
    <legend class="font-display mb-1 text-[1.05rem] font-semibold">Colours</legend>
    <ul class="grid gap-1">
      <li v-for="(named, at) in commission.palette" :key="at" class="grid grid-cols-[2.6rem_1fr_7rem_2rem] items-center gap-2">
        <input type="color" class="h-8 w-10 rounded-lg border-0 bg-transparent p-0" :aria-label="`Colour of ${named.name}`" :value="named.colour" @change="set(at, 'colour', (each) => { each.colour = ($event.target as HTMLInputElement).value })">
        <input class="field-input min-h-8! text-[0.95rem]!" maxlength="40" :aria-label="`Name of colour ${at + 1}`" :value="named.name" @change="rename(at, $event)">
        <select class="field-input min-h-8! text-[0.9rem]! font-normal!" :aria-label="`Role of ${named.name}`" :value="named.role" @change="set(at, 'role', (each) => { each.role = ($event.target as HTMLSelectElement).value as Named['role'] })"><option v-for="role in PALETTE_ROLES" :key="role" :value="role">{{ role }}</option></select>
        <button type="button" class="grid size-8 place-items-center rounded-full hover:bg-paper-deep" :aria-label="`Remove ${named.name}`" @click="remove(at)"><X class="size-4" aria-hidden="true" /></button>
      </li>
    </ul>
    <button type="button" class="button mt-1.5 min-h-9 px-3 text-[0.9rem]" :disabled="commission.palette.length >= MOST_COLOURS" @click="add"><Plus class="size-4" aria-hidden="true" />A colour</button>
  </fieldset>
</template>
