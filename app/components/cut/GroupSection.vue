<script setup lang="ts">
import { Download, LoaderCircle, Lock, LockOpen, Maximize2, Minimize2, Search, Square } from '@lucide/vue'
import { computed, ref } from 'vue'
import { sizeOf, WAY_WORDS, type CutPiece } from '#core/cut'
import { cutSheetPicture } from '#core/draw'
import { paperOf, shapeBox, shapeKey, shapeName, sheetsOfWords } from '#core/material'
import { keptSheetOf, sheetFaults, type CutGroup } from '#core/plan'
import { placesOf } from '~/components/stand/elementPlaces'
import SheetPrint from '~/components/ui/SheetPrint.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import { useNesting } from '~/stores/nesting'
import { saveDrawing, savePlotter } from '~/files/cuts'
import { useCutter } from '~/stores/cutter'
import MachinePanel from './MachinePanel.vue'
import SheetDrawing from './SheetDrawing.vue'

/** Sheets that are cut together: how many, how, and every one to scale. */
const props = defineProps<{ group: CutGroup }>()
const { plan, commission, workshop, editOption } = usePlanned()
const nesting = useNesting()
const cutter = useCutter()

/** What is cut from: one size, or whichever of several serves best. */
const shapes = computed(() => [
  ...new Map(props.group.layout.sheets.map(({ shape }) => [shapeKey(shape), shape])).values(),
])
const sizes = computed(() => shapes.value.map(shapeName).join(', '))
/** The box that every sheet fits into, for drawing them beside one another. */
const largest = computed(() => {
  const boxes = props.group.layout.sheets.map(({ shape }) => shapeBox(shape))
  return {
    widthMm: Math.max(...boxes.map(({ widthMm }) => widthMm)),
    heightMm: Math.max(...boxes.map(({ heightMm }) => heightMm)),
  }
})
const words = computed(() => WAY_WORDS[props.group.way])
/** How many sheets and layers are cut at once, said where sheets are shown and printed. */
const atOnce = computed(
  () =>
    (props.group.plies > 1 ? `, ${props.group.plies} at once` : '') +
    (props.group.layers > 1 ? `, strips folded in ${props.group.layers}` : ''),
)
const isLaidClosely = computed(() => props.group.way === 'template' || props.group.way === 'machine')
const progress = computed(() => (props.group.search ? (nesting.progress[props.group.search.key] ?? null) : null))
const isSearching = computed(() => props.group.search !== null && nesting.underWay === props.group.search.key)
const seconds = computed(() => Math.round((progress.value?.spentMs ?? 0) / 1000))
const saved = computed(() => {
  if (!progress.value) return ''
  const { first, now } = progress.value
  const fewer = first.sheets - now.sheets
  if (fewer > 0) return `${fewer} ${fewer === 1 ? 'sheet' : 'sheets'} fewer than at first`
  const dm2 = (first.paperMm2 - now.paperMm2) / 10000
  return dm2 > 0.1 ? `${dm2.toFixed(1)} dm² less of the last sheet than at first` : 'as good as the first layout'
})

/** Places on the stand of the elements of each part. */
const places = computed(
  () => new Map(props.group.parts.map(({ id }) => [id, placesOf(plan.value.decorations, (piece) => piece.id === id)])),
)
const litBy = (part: string): readonly number[] => places.value.get(part) ?? []

const placementsOf = (pieces: readonly CutPiece[]) =>
  pieces.map(({ part, x, y, rotationDeg, mirrored }) => ({ part: part.id, x, y, rotationDeg, mirrored }))

function wrong(at: number, pieces: readonly CutPiece[]): ReadonlySet<number> {
  const found = new Set<number>()
  const { shape } = props.group.layout.sheets[at]!
  for (const fault of sheetFaults(props.group, shape, placementsOf(pieces), workshop.value.tools)) {
    if ('placement' in fault) found.add(fault.placement)
    if ('other' in fault) found.add(fault.other)
  }
  return found
}

/** Pictures to print are drawn only when they are asked for. */
const isPrinting = ref(false)
/** The sheet that is shown large, so that its numbers can be read. */
const large = ref<number | null>(null)

const isKept = (at: number): boolean => at < props.group.kept.length

function lock(at: number): void {
  const kept = keptSheetOf(props.group, props.group.layout.sheets[at]!)
  editOption('lock sheet', (option) => {
    option.keptSheets.push(kept)
  })
}

/** A sheet that goes to the machine stays as it is, and so do those before it: their pieces keep their numbers. */
function lockUntil(at: number): void {
  const kept = props.group.layout.sheets
    .slice(props.group.kept.length, at + 1)
    .map((sheet) => keptSheetOf(props.group, sheet))
  if (kept.length > 0)
    editOption('lock sheets', (option) => {
      option.keptSheets.push(...kept)
    })
}

/** Locked sheets stand in the option's list in the order of the group's. */
function placeInList(at: number): number {
  const ours = JSON.stringify(props.group.kept[at])
  return commission.value.options
    .find(({ id }) => id === commission.value.chosen)!
    .keptSheets.findIndex((each) => JSON.stringify(each) === ours)
}

const unlock = (at: number): void => {
  const place = placeInList(at)
  editOption('unlock sheet', (option) => {
    option.keptSheets.splice(place, 1)
  })
}

/** A piece that was moved keeps its sheet as it is from now on. */
function move(at: number, pieces: readonly CutPiece[]): void {
  const place = isKept(at) ? placeInList(at) : -1
  const kept = keptSheetOf(props.group, { ...props.group.layout.sheets[at]!, pieces })
  editOption(
    'move piece',
    (option) => {
      if (place >= 0) option.keptSheets[place] = kept
      else option.keptSheets.push(kept)
    },
    `piece ${props.group.id} ${at}`,
  )
}

const title = (at: number): string =>
  `${commission.value.brief.name}: ${paperOf(props.group.paper).name}, sheet ${at + 1} of ` +
  `${props.group.layout.sheets.length}${atOnce.value}. Check: the ruler reads 100 mm.`
const pictures = computed(() => props.group.layout.sheets.map((sheet, at) => cutSheetPicture(sheet, title(at))))
</script>

<template>
  <section
    class="[contain-intrinsic-size:auto_24rem] [content-visibility:auto]"
    :aria-label="`${sizes} of ${paperOf(group.paper).name}, ${words.name.toLowerCase()}${atOnce}`"
    data-testid="cut-group"
  >
    <h2 class="part-title">
      <FigureLink :working="group.sheets" /> {{ sheetsOfWords(shapes, group.sheets.value) }},
      {{ paperOf(group.paper).name }}: {{ words.name.toLowerCase() }}{{ atOnce
      }}<template v-if="group.colour"
        >, coloured first in
        <span
          class="inline-block size-4 rounded-full border border-line align-[-0.15em]"
          :style="{ background: group.colour }"
        />
        {{ group.colour }}</template
      >
    </h2>
    <p class="mb-2 text-[0.92rem] text-ink-soft">
      <FigureLink :working="group.used" after=" of the paper becomes pieces" />,
      <template v-if="group.way !== 'machine'"><FigureLink :working="group.strokes" after=" strokes" />, </template
      >about <FigureLink :working="group.minutes" />.
      <template v-if="group.savedSheets"
        >Cut from the same sheets, {{ group.plies === 1 ? 'one at a time' : `${group.plies} at once` }}, they take
        <FigureLink
          :working="group.savedSheets"
          :after="group.savedSheets.value === 1 ? ' sheet less' : ' sheets less'"
        />.
      </template>
      <template v-if="isLaidClosely && progress">
        <span role="status">{{
          isSearching ? `Laying it closer, ${seconds} s: ${saved}. ` : `Laid for ${seconds} s: ${saved}. `
        }}</span>
        <button v-if="isSearching" type="button" class="figure-link ml-1.5" @click="nesting.pause()">
          <Square class="mr-0.5 inline size-3" aria-hidden="true" />Stop
        </button>
        <button v-else type="button" class="figure-link ml-1.5" @click="nesting.goOn(group.search!.key)">
          <Search class="mr-0.5 inline size-3.5" aria-hidden="true" />Look for closer
        </button>
      </template>
      <template v-else-if="isLaidClosely && group.search">
        <span v-if="!nesting.isPaused" role="status"
          ><LoaderCircle class="mr-0.5 inline size-3.5" aria-hidden="true" />In strips for now; laid closer in a
          moment.</span
        >
        <template v-else
          >In strips.
          <button type="button" class="figure-link ml-1.5" @click="nesting.goOn(group.search.key)">
            <Search class="mr-0.5 inline size-3.5" aria-hidden="true" />Look for closer
          </button></template
        >
      </template>
      <template v-if="group.released > 0">
        {{ group.released === 1 ? 'One locked sheet' : `${group.released} locked sheets` }} no longer held what was
        planned, and {{ group.released === 1 ? 'is' : 'are' }} laid anew.</template
      >
    </p>
    <ul v-if="group.layout.leftOut.length > 0" class="mb-2 rounded-lg bg-stop-soft px-3 py-1.5 text-[0.92rem]">
      <li v-for="{ part, why } in group.layout.leftOut" :key="part.id">On no sheet: {{ why }}</li>
    </ul>
    <MachinePanel v-if="group.way === 'machine' && group.layout.sheets.length > 0" :group="group" @sent="lockUntil" />
    <ol class="grid grid-cols-[repeat(auto-fill,minmax(11.5rem,1fr))] gap-x-5 gap-y-4">
      <li
        v-for="(sheet, at) in group.layout.sheets"
        :key="at"
        class="[contain-intrinsic-size:auto_19rem] [content-visibility:auto]"
        :class="large === at ? 'col-span-full max-w-3xl' : ''"
        data-testid="cut-sheet"
      >
        <SheetDrawing
          :sheet="sheet"
          :size="sizeOf(sheet)"
          :name="sheet.remnant?.name ?? `Sheet ${at + 1}`"
          :locked="isKept(at)"
          :movable="isLaidClosely && !sheet.remnant"
          :cut="cutter.sheets[`${group.id} ${at}`]?.cut"
          :spoiled="cutter.sheets[`${group.id} ${at}`]?.spoiled"
          :lit-by="litBy"
          :wrong="(pieces) => wrong(at, pieces)"
          @move="move(at, $event)"
        />
        <p class="mt-1 flex items-center justify-between text-[0.84rem] text-ink-soft">
          <span
            >{{ sheet.remnant ? sheet.remnant.name : `sheet ${at + 1}`
            }}<template v-if="sheet.plies > 1">, {{ sheet.plies }} at once</template>: {{ sheet.pieces.length }}
            {{ sheet.pieces.length === 1 ? 'piece' : 'pieces' }}</span
          >
          <button
            type="button"
            class="figure-link flex min-h-8 items-center"
            :aria-label="large === at ? `Sheet ${at + 1} small again` : `Sheet ${at + 1} large`"
            :aria-pressed="large === at"
            @click="large = large === at ? null : at"
          >
            <component :is="large === at ? Minimize2 : Maximize2" class="size-3.5" aria-hidden="true" />
          </button>
          <button
            v-if="group.way === 'machine'"
            type="button"
            class="figure-link"
            :aria-label="`Knife path of sheet ${at + 1}`"
            @click="savePlotter(sheet, commission.brief.name, at + 1)"
          >
            knife path
          </button>
          <button
            v-if="isLaidClosely && !sheet.remnant"
            type="button"
            class="figure-link flex min-h-8 items-center gap-1"
            :aria-pressed="isKept(at)"
            @click="isKept(at) ? unlock(at) : lock(at)"
          >
            <component :is="isKept(at) ? Lock : LockOpen" class="size-3.5" aria-hidden="true" />{{
              isKept(at) ? 'locked' : 'lock'
            }}
          </button>
        </p>
      </li>
    </ol>
    <details class="mt-2 text-[0.92rem]" @toggle="isPrinting = ($event.target as HTMLDetailsElement).open">
      <summary class="figure-link w-fit list-none">Print or save these sheets at true size</summary>
      <div v-if="isPrinting" class="mt-2 max-w-72">
        <SheetPrint
          :sheets="pictures"
          :title="`${commission.brief.name}: sheets`"
          :name="commission.brief.name"
          :ending="`-${group.paper}-${group.way}`"
          :mark="group.id"
        /><button
          type="button"
          class="button mt-2"
          :data-testid="`${group.id}-dxf`"
          @click="saveDrawing(group.layout.sheets, largest, commission.brief.name, `-${group.paper}-${group.way}`)"
        >
          <Download class="size-4.5" aria-hidden="true" />DXF
        </button>
      </div>
    </details>
  </section>
</template>
