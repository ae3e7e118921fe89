<script setup lang="ts">
import { ImagePlus } from '@lucide/vue'
import { computed, ref, useId } from 'vue'
import { z } from 'zod'
import { boxOf, cornerSentence, cornersOnPhoto, MOST_REMNANTS, readCorners, remnantOutline } from '#core/cut'
import type { Point } from '#core/geometry'
import { paperIds, PAPERS, type PaperId } from '#core/material'
import type { Photo } from '#core/ledger'
import { printQuantity } from '#core/quantity'
import { shrinkPhoto } from '~/components/brief/photos'
import { usePlanned } from '~/composables/planned'
import { remark, useSubmitted } from '~/composables/submitted'
import { chosenFile } from '~/files/chosen'
import { usePreferences } from '~/stores/preferences'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { namedChoices } from '~/components/ui/choice'
import SwitchField from '~/components/ui/SwitchField.vue'
import SheetDialog from '~/components/ui/SheetDialog.vue'

/**
 * A part of a sheet that lies in the studio, taken into stock by its corners: typed, or touched on a photograph beside
 * a ruler.
 */
const emit = defineEmits<{ close: [] }>()
const { studio, workshop } = usePlanned()
const preferences = usePreferences()

const { field, submit } = useSubmitted(
  z.object({ name: remark(60), paper: z.enum(paperIds), isColoured: z.boolean(), colour: z.string() }),
  () => ({ name: '', paper: 'thinWafer' as PaperId, isColoured: false, colour: '#d9572b' }),
  keep,
)
const [name] = field('name')
const [paper] = field('paper')
const [isColoured] = field('isColoured')
const [colour] = field('colour')
const form = useId()
const typed = ref('')
const photo = ref<Photo | null>(null)
const problem = ref('')
/** The two ends of the ruler, then the corners, in the photograph's own pixels. */
const touched = ref<readonly Point[]>([])
const rulerMm = ref(100)

const corners = computed(() => {
  if (!photo.value) return readCorners(typed.value)
  const [from, to, ...rest] = touched.value
  return from && to
    ? cornersOnPhoto(rest, from, to, rulerMm.value)
    : cornersOnPhoto([], { x: 0, y: 0 }, { x: 0, y: 0 }, rulerMm.value)
})
const outline = computed(() => (corners.value.ok ? remnantOutline(corners.value.value) : corners.value))
const path = computed(() =>
  outline.value.ok ? `M${outline.value.value.map(([x, y]) => `${x} ${-y}`).join('L')}Z` : '',
)
const box = computed(() => (outline.value.ok ? boxOf(outline.value.value.map(([x, y]) => ({ x, y }))) : null))
const isBegun = computed(() => typed.value.trim() !== '' || touched.value.length > 0)
const next = computed(() =>
  touched.value.length === 0
    ? 'Touch one end of the ruler.'
    : touched.value.length === 1
      ? 'Touch its other end.'
      : 'Now touch the corners in order round the edge.',
)

async function bring(event: Event): Promise<void> {
  const file = chosenFile(event)
  if (!file) return
  const taken = await shrinkPhoto(file)
  problem.value = 'sentence' in taken ? taken.sentence : ''
  if ('sentence' in taken) return
  photo.value = taken
  touched.value = []
}

function touch(event: MouseEvent): void {
  const shown = event.currentTarget as HTMLElement
  const place = shown.getBoundingClientRect()
  touched.value = [
    ...touched.value,
    {
      x: ((event.clientX - place.left) / place.width) * photo.value!.widthPx,
      y: ((event.clientY - place.top) / place.height) * photo.value!.heightPx,
    },
  ]
}

type Told = { readonly name: string; readonly paper: PaperId; readonly isColoured: boolean; readonly colour: string }

function keep(told: Told): void {
  const made = outline.value
  if (!made.ok) {
    problem.value = cornerSentence(made.error)
    return
  }
  const kept = {
    id: crypto.randomUUID(),
    name: told.name || 'rest',
    paper: told.paper,
    colour: told.isColoured ? told.colour : null,
    outline: made.value,
    from: '',
  }
  studio.edit('take remnant into stock', ({ workshop: draft }) => {
    draft.remnants.push(kept)
  })
  emit('close')
}

/** Leaves the photograph for typed corners. */
function typeInstead(): void {
  photo.value = null
  touched.value = []
}
</script>

<template>
  <SheetDialog title="A rest that lies in the studio" width="narrow" @close="emit('close')">
    <div class="grid gap-4">
      <form :id="form" class="grid gap-x-5 gap-y-3 sm:grid-cols-[1fr_1fr_auto]" novalidate @submit="submit">
        <label
          ><span class="block text-[0.8rem] text-ink-soft">Called</span
          ><input v-model="name" class="field-input" maxlength="60" placeholder="rest"
        /></label>
        <ChoiceField v-model="paper" label="Paper" :choices="namedChoices(PAPERS)" />
        <div class="flex items-end gap-2">
          <SwitchField v-model="isColoured">coloured all over</SwitchField
          ><input v-if="isColoured" v-model="colour" type="color" class="mb-1 size-7" aria-label="Its colour" />
        </div>
      </form>
      <div class="grid gap-5 sm:grid-cols-[minmax(0,1fr)_13rem]">
        <div v-if="photo" class="grid content-start gap-2">
          <p role="status" class="text-[0.92rem]">{{ next }}</p>
          <button
            type="button"
            class="relative block w-full cursor-crosshair overflow-hidden rounded-lg"
            aria-label="Photograph: touch the ends of the ruler, then the corners"
            @click="touch"
          >
            <img :src="photo.dataUrl" :alt="photo.name" class="block w-full" />
            <svg
              class="absolute inset-0 size-full"
              :viewBox="`0 0 ${photo.widthPx} ${photo.heightPx}`"
              aria-hidden="true"
            >
              <line
                v-if="touched[1]"
                :x1="touched[0]!.x"
                :y1="touched[0]!.y"
                :x2="touched[1].x"
                :y2="touched[1].y"
                stroke="#fff"
                :stroke-width="photo.widthPx / 150"
                stroke-dasharray="8 5"
              />
              <polygon
                v-if="touched.length > 3"
                :points="
                  touched
                    .slice(2)
                    .map(({ x, y }) => `${x},${y}`)
                    .join(' ')
                "
                fill="#ff5c8a55"
                stroke="#fff"
                :stroke-width="photo.widthPx / 220"
              />
              <circle
                v-for="({ x, y }, at) in touched"
                :key="at"
                :cx="x"
                :cy="y"
                :r="photo.widthPx / 90"
                :fill="at < 2 ? '#fff' : '#e0336b'"
                stroke="#2a1c2c"
                :stroke-width="photo.widthPx / 400"
              />
            </svg>
          </button>
          <div class="flex flex-wrap items-center gap-3 text-[0.92rem]">
            <label class="flex items-baseline gap-1.5"
              >The ruler’s ends are<input
                v-model.number="rulerMm"
                type="number"
                min="1"
                max="700"
                class="field-input w-20 text-right"
              />mm apart</label
            >
            <button
              type="button"
              class="figure-link"
              :disabled="touched.length === 0"
              @click="touched = touched.slice(0, -1)"
            >
              take the last back
            </button>
            <button type="button" class="figure-link" @click="typeInstead">type corners instead</button>
          </div>
        </div>
        <div v-else class="grid content-start gap-2">
          <label
            ><span class="block text-[0.8rem] text-ink-soft"
              >Corners in order round the edge, mm across and up, a line each</span
            ><textarea v-model="typed" rows="6" class="field-input font-mono" placeholder="0 0&#10;120 0&#10;60 80" />
          </label>
          <label class="button w-fit cursor-pointer focus-within:ring-2 focus-within:ring-go"
            ><ImagePlus class="size-4.5" aria-hidden="true" />From a photograph<input
              type="file"
              class="sr-only"
              accept="image/*"
              @change="bring"
          /></label>
          <p class="text-[0.86rem] text-ink-soft">
            Taken from straight above, a ruler beside it. The picture is not kept.
          </p>
        </div>
        <figure v-if="box" class="grid content-start gap-1">
          <svg
            :viewBox="`-2 ${-box.heightMm - 2} ${box.widthMm + 4} ${box.heightMm + 4}`"
            class="max-h-52 w-full"
            role="img"
            aria-label="The rest as it was measured"
          >
            <path
              :d="path"
              :fill="isColoured ? colour : '#fffdf8'"
              stroke="#8d7f70"
              vector-effect="non-scaling-stroke"
            />
          </svg>
          <figcaption class="text-center text-[0.88rem]">
            {{ printQuantity(box.widthMm, 'length', preferences.units) }} ×
            {{ printQuantity(box.heightMm, 'length', preferences.units) }}
          </figcaption>
        </figure>
      </div>
      <p
        v-if="problem || (isBegun && !outline.ok)"
        role="alert"
        class="rounded-lg bg-look-soft px-3 py-1.5 text-[0.92rem]"
      >
        {{ problem || (!outline.ok ? cornerSentence(outline.error) : '') }}
      </p>
    </div>
    <template #actions
      ><button type="button" class="button" @click="emit('close')">Leave it</button
      ><button
        type="submit"
        :form
        class="button button-go"
        :disabled="!outline.ok || workshop.remnants.length >= MOST_REMNANTS"
      >
        Take into stock
      </button></template
    >
  </SheetDialog>
</template>
