<script setup lang="ts">
import { ChevronLeft, ChevronRight, Minus, Move, Pin, PinOff, Plus, RotateCcw, RotateCw, Trash2 } from '@lucide/vue'
import { computed } from 'vue'
import { PORTION_WORDS, PORTIONS } from '#core/technique'
import { arrowMove } from './arrowKeys'
import { useArranging } from './arranging'
import IconButton from '~/components/ui/IconButton.vue'
import ChoiceField from '~/components/ui/ChoiceField.vue'

/** What the elements are called, several of them. */
const props = defineProps<{
  called: string
  /** Discs that one may be told to come from; none where portions are not chosen. */
  discsMm?: readonly number[]
}>()

const {
  elements,
  byHand,
  pickedIndex,
  pickedElement,
  isPinned,
  pick,
  nudge,
  resize,
  roll,
  cutAs,
  togglePin,
  takeOut,
  add,
  release,
} = useArranging()

const LEAN_DEG = 8
/** Portions of the discs there are, and what is chosen of them. */
const sectors = computed(() =>
  [...(props.discsMm ?? [])]
    .sort((one, other) => other - one)
    .flatMap((discMm) => PORTIONS.map((portion) => ({ portion, discMm, key: `${portion} ${discMm}` }))),
)
const chosenSector = computed(() => {
  const cut = pickedElement.value?.cut
  return cut ? `${cut.portion} ${cut.discMm}` : ''
})
const setSector = (key: string): void => {
  const found = sectors.value.find((each) => each.key === key)
  cutAs(found ? { portion: found.portion, discMm: found.discMm } : null)
}
const position = computed(() => elements.value.findIndex(({ index }) => index === pickedIndex.value))
const changed = computed(() => byHand.value.put.length + byHand.value.out.length)

function step(by: number): void {
  const { length } = elements.value
  if (length > 0)
    pick(elements.value[((position.value === -1 ? (by > 0 ? -1 : 0) : position.value) + by + length) % length]!.index)
}

function onKey(event: KeyboardEvent): void {
  const by = arrowMove(event, 2, 10)
  if (by) nudge(...by)
  else if (event.key === 'Delete' || event.key === 'Backspace') takeOut()
  else return
  event.preventDefault()
}
const sectorChoices = computed(() => [
  { value: '', says: 'as it fits' },
  ...sectors.value.map(({ key, portion, discMm }) => ({
    value: key,
    says: `${PORTION_WORDS[portion].one} of ${discMm} mm`,
  })),
])
</script>

<template>
  <div
    class="flex flex-wrap items-center gap-1.5 text-[0.9rem]"
    role="group"
    :aria-label="`One of the ${props.called}, by hand`"
    data-testid="element-bar"
  >
    <IconButton :icon="ChevronLeft" says="Pick the one before" :disabled="elements.length === 0" @click="step(-1)" />
    <IconButton
      :icon="ChevronRight"
      says="Pick the next"
      data-testid="pick-next"
      :disabled="elements.length === 0"
      @click="step(1)"
    />
    <template v-if="pickedElement">
      <span class="min-w-22 px-1 tabular-nums" role="status"
        ><b>{{ position + 1 }}</b> of {{ elements.length }}{{ isPinned(pickedElement.index) ? ', pinned' : '' }}</span
      >
      <button
        type="button"
        class="button min-h-9 gap-1! px-2.5"
        aria-label="Move it with the arrow keys"
        title="Arrow keys move it; with shift, further"
        data-testid="element-move"
        @keydown="onKey"
      >
        <Move class="size-4" aria-hidden="true" />Move
      </button>
      <button
        type="button"
        class="button min-h-9 gap-1! px-2.5"
        :class="isPinned(pickedElement.index) ? 'bg-go-soft' : ''"
        :aria-pressed="isPinned(pickedElement.index)"
        data-testid="element-pin"
        @click="togglePin"
      >
        <component :is="isPinned(pickedElement.index) ? PinOff : Pin" class="size-4" aria-hidden="true" />{{
          isPinned(pickedElement.index) ? 'Let go' : 'Pin'
        }}
      </button>
      <IconButton :icon="Minus" says="Smaller" @click="resize(false)" />
      <IconButton :icon="Plus" says="Larger" data-testid="element-larger" @click="resize(true)" />
      <IconButton :icon="RotateCcw" says="Lean left" @click="roll(-LEAN_DEG)" />
      <IconButton :icon="RotateCw" says="Lean right" @click="roll(LEAN_DEG)" />
      <ChoiceField
        v-if="sectors.length > 0"
        class="w-44"
        hide-label
        label="Cut as"
        data-testid="element-cut"
        :choices="sectorChoices"
        :model-value="chosenSector"
        @update:model-value="setSector"
      />
      <IconButton :icon="Trash2" says="Take it out" data-testid="element-out" @click="takeOut" />
    </template>
    <span v-else class="px-1 text-ink-soft">Touch one to move it by hand; it stays pinned there.</span>
    <button
      type="button"
      class="button min-h-9 gap-1! px-2.5"
      data-testid="element-add"
      :disabled="elements.length === 0"
      @click="add"
    >
      <Plus class="size-4" aria-hidden="true" />One more
    </button>
    <button v-if="changed > 0" type="button" class="figure-link ml-1" data-testid="element-release" @click="release">
      {{ changed }} by hand: as composed again
    </button>
  </div>
</template>
