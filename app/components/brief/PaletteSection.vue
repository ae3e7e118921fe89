<script setup lang="ts">
import { PALETTE_ROLES, type Commission } from '#core/commission'
import { Download, Plus, Upload, X } from '@lucide/vue'
import { ref } from 'vue'
import { PALETTE_FORMATS, paletteSentence, readPalette, writePalette, type PaletteFormat } from '#core/format/palette'
import { vDraft } from '~/composables/draft'
import { usePlanned } from '~/composables/planned'
import { chosenFile } from '~/files/chosen'
import { download, fileNameFor } from '~/files/download'
import IconButton from '~/components/ui/IconButton.vue'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf } from '~/components/ui/choice'

const { studio, commission } = usePlanned()
const MOST_COLOURS = 24

type Named = Commission['palette'][number]
const set = (at: number, label: string, change: (named: Named) => void): void =>
  studio.edit(label, (draft) => change(draft.commission.palette[at]!), `${label} ${at}`)
const add = (): void =>
  studio.edit('add a colour', (draft) => {
    draft.commission.palette.push({ name: 'new colour', colour: '#c9b8a3', role: 'accent' })
  })
const remove = (at: number): void =>
  studio.edit('remove a colour', (draft) => {
    draft.commission.palette.splice(at, 1)
  })

const FORMAT_WORDS: Readonly<Record<PaletteFormat, { readonly name: string; readonly type: string }>> = {
  gpl: { name: 'palette for other programs', type: 'text/plain' },
  css: { name: 'for web pages', type: 'text/css' },
  json: { name: 'as data', type: 'application/json' },
}
const refused = ref('')

const save = (format: PaletteFormat): void =>
  download(
    writePalette(commission.value.brief.name, commission.value.palette, format),
    fileNameFor(commission.value.brief.name, `-palette.${format}`),
    FORMAT_WORDS[format].type,
  )

/** Colours out of a file join those that are there; one of a name that is there takes its place. */
async function bring(event: Event): Promise<void> {
  const file = chosenFile(event)
  if (!file) return
  const known = new Set(commission.value.palette.map(({ name }) => name))
  const read = readPalette(await file.text(), MOST_COLOURS)
  const added = read.ok ? read.value.filter(({ name }) => !known.has(name)) : []
  const tooMany = known.size + added.length
  refused.value = !read.ok
    ? paletteSentence(read.error)
    : tooMany > MOST_COLOURS
      ? paletteSentence({ code: 'too-many', count: tooMany, most: MOST_COLOURS })
      : ''
  if (!read.ok || refused.value) return
  studio.edit('bring colours', ({ commission: { palette } }) => {
    for (const { name, colour } of read.value) {
      const there = palette.find((each) => each.name === name)
      if (there) there.colour = colour
      else palette.push({ name, colour, role: 'accent' })
    }
  })
}

function rename(at: number, event: Event): void {
  const field = event.target as HTMLInputElement
  const name = field.value.trim().slice(0, 40)
  if (name)
    set(at, 'colour name', (named) => {
      named.name = name
    })
  else field.value = commission.value.palette[at]!.name
}
const ROLES = choicesOf(PALETTE_ROLES, (role) => role)
</script>

<template>
  <fieldset>
    <legend class="font-display mb-1 text-[1.05rem] font-semibold">Colours</legend>
    <ul class="grid gap-1">
      <li
        v-for="(named, at) in commission.palette"
        :key="at"
        class="grid grid-cols-[2.6rem_1fr_7rem_2rem] items-center gap-2"
      >
        <input
          type="color"
          class="h-8 w-10 rounded-lg border-0 bg-transparent p-0"
          :aria-label="`Colour of ${named.name}`"
          :value="named.colour"
          @change="
            set(at, 'colour', (each) => {
              each.colour = ($event.target as HTMLInputElement).value
            })
          "
        />
        <input
          v-draft="named.name"
          class="field-input min-h-8! text-[0.95rem]!"
          maxlength="40"
          :aria-label="`Name of colour ${at + 1}`"
          @change="rename(at, $event)"
        />
        <ChoiceField
          hide-label
          :label="`Role of ${named.name}`"
          :choices="ROLES"
          :model-value="named.role"
          @update:model-value="
            set(at, 'role', (each) => {
              each.role = $event
            })
          "
        />
        <IconButton :icon="X" round :says="`Remove ${named.name}`" @click="remove(at)" />
      </li>
    </ul>
    <div class="mt-1.5 flex flex-wrap items-center gap-x-3 gap-y-1">
      <button
        type="button"
        class="button min-h-9 px-3 text-[0.9rem]"
        :disabled="commission.palette.length >= MOST_COLOURS"
        @click="add"
      >
        <Plus class="size-4" aria-hidden="true" />A colour
      </button>
      <label class="button min-h-9 cursor-pointer px-3 text-[0.9rem] focus-within:ring-2 focus-within:ring-go"
        ><Upload class="size-4" aria-hidden="true" />Bring<input
          type="file"
          class="sr-only"
          accept=".gpl,.css,.json,text/plain"
          data-testid="palette-file"
          @change="bring"
      /></label>
      <span class="flex flex-wrap items-center gap-x-3 text-[0.9rem]"
        ><Download class="size-4" aria-hidden="true" />Save<button
          v-for="format in PALETTE_FORMATS"
          :key="format"
          type="button"
          class="figure-link"
          :aria-label="`Save the colours: ${FORMAT_WORDS[format].name}`"
          @click="save(format)"
        >
          {{ FORMAT_WORDS[format].name }}
        </button></span
      >
    </div>
    <p v-if="refused" role="alert" class="mt-1.5 rounded-lg bg-stop-soft px-3 py-1.5 text-[0.9rem]">
      {{ refused }} What was here is kept.
    </p>
  </fieldset>
</template>
