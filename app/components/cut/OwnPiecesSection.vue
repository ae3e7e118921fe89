<script setup lang="ts">
import { Upload, X } from '@lucide/vue'
import { computed, ref } from 'vue'
import { drawnPieces, MOST_OWN_PIECES, ownOutlines, ownPieceSchema, STARTING_CUTTING, type OwnPiece } from '#core/cut'
import { PAPERS, paperOf, shapeKey, shapeName, type PaperId } from '#core/material'
import { ownWork } from '#core/plan'
import { pathData } from '#core/format/svg'
import { flipMove } from '#core/geometry'
import QuantityField from '~/components/ui/QuantityField.vue'
import { vDraft } from '~/composables/draft'
import { usePlanned } from '~/composables/planned'
import { chosenFile } from '~/files/chosen'
import { outlineIn } from '~/files/reading'
import WayFields from './WayFields.vue'
import IconButton from '~/components/ui/IconButton.vue'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { namedChoices } from '~/components/ui/choice'

/** Pieces from drawings of the decorator's own, SVG or DXF: every closed outline becomes one, cut beside the others. */
const { option, editOption } = usePlanned()

const { heightMm: high, quantity: many } = ownPieceSchema.shape
const STARTING_HIGH_MM = 60
const STARTING_COLOUR = '#f3efe6'
const refused = ref('')
const notes = ref<readonly string[]>([])

const rows = computed(() =>
  option.value.ownPieces.map((piece) => {
    const { outline, holes } = ownOutlines({ ...piece, heightMm: 1 })
    const wide = Math.max(...piece.outline.map(([x]) => x))
    return {
      piece,
      work: ownWork(piece),
      wide,
      path: [outline, ...holes].map((each) => pathData(flipMove(each, 0, 1))).join(''),
    }
  }),
)

async function open(event: Event): Promise<void> {
  const file = chosenFile(event)
  if (!file) return
  const brought = await outlineIn(file)
  refused.value = 'refused' in brought ? brought.refused : ''
  notes.value = []
  if ('refused' in brought) return
  const { rings, heightMm } = brought.content
  const pieces = drawnPieces(rings)
  const room = MOST_OWN_PIECES - option.value.ownPieces.length
  notes.value = [
    ...brought.content.notes,
    ...(heightMm === null ? ['The file does not say how large it is: check how high each is.'] : []),
    ...(pieces.length > room
      ? [`${pieces.length - room} of its outlines found no room: ${MOST_OWN_PIECES} are kept at most.`]
      : []),
  ]
  const named = file.name.replace(/\.[^.]+$/, '').slice(0, 50) || 'piece'
  const { min, max } = { min: high.minValue!, max: high.maxValue! }
  const added = pieces.slice(0, room).map((piece, at): OwnPiece => ({
    id: crypto.randomUUID(),
    name: pieces.length === 1 ? named : `${named} ${at + 1}`,
    paper: 'thinWafer',
    stock: paperOf('thinWafer').shapes.slice(0, 1),
    colour: STARTING_COLOUR,
    quantity: 1,
    heightMm: Math.min(max, Math.max(min, Math.round((heightMm ?? STARTING_HIGH_MM) * piece.high * 10) / 10)),
    outline: piece.outline,
    holes: piece.holes,
    cutting: { ...STARTING_CUTTING, way: 'template', plies: 1 },
  }))
  editOption('bring pieces', ({ ownPieces }) => {
    ownPieces.push(...added)
  })
}

const change = (id: string, label: string, set: (piece: OwnPiece) => void): void =>
  editOption(
    label,
    ({ ownPieces }) => {
      set(ownPieces.find((each) => each.id === id)!)
    },
    `own ${id}`,
  )
const setPaper = (id: string, paper: PaperId): void =>
  change(id, 'paper', (each) => {
    each.paper = paper
    each.stock = paperOf(paper).shapes.slice(0, 1)
  })
const keysOf = ({ stock }: OwnPiece): string => stock.map(shapeKey).join(' ')
const sheetsOf = ({ paper }: OwnPiece) =>
  paperOf(paper).shapes.map((each) => ({ value: shapeKey(each), says: shapeName(each) }))
const setSheets = ({ id, paper }: OwnPiece, key: string): void =>
  change(id, 'sheets', (each) => {
    each.stock = paperOf(paper).shapes.filter((shape) => shapeKey(shape) === key)
  })
const letGo = (id: string): void =>
  editOption('take out piece', (draft) => {
    draft.ownPieces = draft.ownPieces.filter((each) => each.id !== id)
  })
const valueOf = (event: Event): string => (event.target as HTMLInputElement).value
</script>

<template>
  <section aria-labelledby="own-pieces" data-testid="own-pieces">
    <h2 id="own-pieces" class="part-title mb-1">Pieces from your own drawings</h2>
    <ul v-if="rows.length > 0" class="mb-3 grid gap-3">
      <li
        v-for="{ piece, work, wide, path } in rows"
        :key="piece.id"
        class="grid grid-cols-[3.5rem_minmax(0,1fr)_auto] items-start gap-x-4"
        data-testid="own-piece"
      >
        <svg
          :viewBox="`${-wide - 0.04} -0.04 ${2 * wide + 0.08} 1.08`"
          class="h-16 w-14"
          role="img"
          :aria-label="piece.name"
        >
          <path
            :d="path"
            :fill="piece.colour"
            fill-rule="evenodd"
            stroke="#2a1c2c"
            vector-effect="non-scaling-stroke"
          />
        </svg>
        <div class="grid gap-1.5">
          <div class="grid grid-cols-2 items-end gap-x-4 gap-y-1 sm:grid-cols-3">
            <label
              ><span class="block text-[0.8rem] text-ink-soft">Piece</span
              ><input
                v-draft="piece.name"
                class="field-input"
                maxlength="60"
                @change="
                  change(piece.id, 'name', (each) => {
                    each.name = valueOf($event).trim() || each.name
                  })
                "
            /></label>
            <QuantityField
              :schema="many"
              :model-value="piece.quantity"
              @update:model-value="
                change(piece.id, 'how many', (each) => {
                  each.quantity = $event
                })
              "
            />
            <QuantityField
              :schema="high"
              :model-value="piece.heightMm"
              @update:model-value="
                change(piece.id, 'how high', (each) => {
                  each.heightMm = $event
                })
              "
            />
            <ChoiceField
              label="Paper"
              :choices="namedChoices(PAPERS)"
              :model-value="piece.paper"
              @update:model-value="setPaper(piece.id, $event)"
            />
            <ChoiceField
              label="Sheets"
              :choices="sheetsOf(piece)"
              :model-value="keysOf(piece)"
              @update:model-value="setSheets(piece, $event)"
            />
            <input
              type="color"
              class="size-8"
              :value="piece.colour"
              :aria-label="`Colour of ${piece.name}`"
              @change="
                change(piece.id, 'colour', (each) => {
                  each.colour = valueOf($event)
                })
              "
            />
          </div>
          <WayFields
            :name="piece.name"
            :work="work"
            @change="
              change(piece.id, 'way of cutting', (each) => {
                Object.assign(each.cutting, $event)
              })
            "
          />
        </div>
        <IconButton :icon="X" round :says="`Take out ${piece.name}`" @click="letGo(piece.id)" />
      </li>
    </ul>
    <label class="button w-fit cursor-pointer focus-within:ring-2 focus-within:ring-go"
      ><Upload class="size-4.5" aria-hidden="true" />Bring an SVG or DXF<input
        type="file"
        class="sr-only"
        accept=".svg,.dxf,image/svg+xml"
        data-testid="own-file"
        @change="open"
    /></label>
    <p class="mt-1 text-[0.88rem] text-ink-soft">
      Every closed outline in it becomes a piece. Bring what you drew yourself or may use.
    </p>
    <p v-if="refused" role="alert" class="mt-2 rounded-lg bg-stop-soft px-3 py-1.5 text-[0.9rem]">
      {{ refused }} What was here is kept.
    </p>
    <ul v-if="notes.length > 0" class="mt-2 text-[0.86rem] text-ink-soft">
      <li v-for="note in notes" :key="note">{{ note }}</li>
    </ul>
  </section>
</template>
