<script setup lang="ts">
import { MOST_OPTIONS } from '#core/commission'
import { Copy, GalleryHorizontalEnd, Pencil, Trash2 } from '@lucide/vue'
import { nextTick, ref } from 'vue'
import { NuxtLink } from '#components'
import { usePlanned } from '~/composables/planned'
import IconButton from '~/components/ui/IconButton.vue'

const { studio, commission, option, editOption } = usePlanned()
const naming = ref(false)
/** The field of the one option that is named; in a list, a name would gather all there are. */
let field: HTMLInputElement | null = null
const holdField = (shown: unknown): void => {
  field = shown instanceof HTMLInputElement ? shown : null
}

const choose = (id: string, name: string): void =>
  studio.edit(`choose ${name}`, (draft) => {
    draft.commission.chosen = id
  })

/** A copy of the chosen option to vary, chosen in its turn. */
function vary(): void {
  const id = crypto.randomUUID()
  studio.edit('copy and vary', ({ commission: draft }) => {
    const from = draft.options.find((each) => each.id === draft.chosen)!
    draft.options.push({
      ...structuredClone(JSON.parse(JSON.stringify(from))),
      id,
      name: `${from.name}, varied`.slice(0, 40),
    })
    draft.chosen = id
  })
}

const remove = (): void =>
  studio.edit('remove an option', ({ commission: draft }) => {
    draft.options = draft.options.filter((each) => each.id !== draft.chosen)
    draft.chosen = draft.options[0]!.id
  })

async function beginNaming(): Promise<void> {
  naming.value = true
  await nextTick()
  field?.select()
}

function name(event: Event): void {
  const typed = (event.target as HTMLInputElement).value.trim().slice(0, 40)
  naming.value = false
  if (typed)
    editOption('name the option', (each) => {
      each.name = typed
    })
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-2" data-testid="options">
    <div class="flex flex-wrap gap-1.5" role="group" aria-label="Options">
      <template v-for="each in commission.options" :key="each.id">
        <input
          v-if="naming && each.id === option.id"
          :ref="holdField"
          class="field-input w-44!"
          maxlength="40"
          aria-label="Name of the option"
          :value="each.name"
          @change="name"
          @blur="naming = false"
          @keydown.esc="naming = false"
        />
        <button
          v-else
          type="button"
          class="button min-h-9 px-3.5"
          :class="each.id === option.id ? 'bg-go-soft ring-2 ring-go' : ''"
          :aria-pressed="each.id === option.id"
          @click="choose(each.id, each.name)"
        >
          {{ each.name }}
        </button>
      </template>
    </div>
    <IconButton :icon="Pencil" says="Rename this option" @click="beginNaming" />
    <button
      type="button"
      class="button min-h-9 px-3"
      :disabled="commission.options.length >= MOST_OPTIONS"
      data-testid="vary"
      @click="vary"
    >
      <Copy class="size-4" aria-hidden="true" />Copy and vary
    </button>
    <IconButton v-if="commission.options.length > 1" :icon="Trash2" says="Remove this option" @click="remove" />
    <NuxtLink to="/proposal" class="button min-h-9 px-3" data-testid="proposal">For the client</NuxtLink>
    <NuxtLink v-if="commission.options.length > 1" to="/compare" class="button min-h-9 px-3" data-testid="compare"
      ><GalleryHorizontalEnd class="size-4" aria-hidden="true" />Compare</NuxtLink
    >
  </div>
</template>
