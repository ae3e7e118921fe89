<script setup lang="ts">
import { Plus } from '@lucide/vue'
import { computed, defineAsyncComponent, nextTick, onMounted, ref, shallowRef, type Component } from 'vue'
import type { Decoration } from '#core/commission'
import type { PlannedDecoration } from '#core/decoration'
import { afterPaint } from '~/composables/afterFigures'
import { usePlanned } from '~/composables/planned'
import DecorationTab from './DecorationTab.vue'
import { useChosenDecoration } from './chosen'
import { useHidden } from './hidden'
import { useRearranging } from './useRearranging'
import { useAdding } from './useAdding'

/** Read when it is asked for: it brings its pictures. */
const AddingDialog = defineAsyncComponent(() => import('./AddingDialog.vue'))

const { plan, option } = usePlanned()
const { open, choose } = useChosenDecoration(() => option.value)

/** Tabs of decorations that a bouquet holds, or that none holds. */
const tabsIn = (bouquet: string | null) =>
  option.value.decorations
    .filter(({ gathered }) => (gathered?.bouquet ?? null) === bouquet)
    .flatMap((decoration: Decoration) => {
      const made = plan.value.decorations.find((each: PlannedDecoration) => each.id === decoration.id)
      return made
        ? [{ id: made.id, name: made.name, count: made.elements.length, colour: made.colour.heart, bouquet: false }]
        : []
    })
const gathered = computed(() =>
  option.value.bouquets.flatMap(({ id, name }) => [
    { id, name, count: tabsIn(id).reduce((sum, { count }) => sum + count, 0), colour: '', bouquet: true },
    ...tabsIn(id),
  ]),
)
const { isHidden } = useHidden()
const { move, moveTo } = useRearranging()
/** What is loose on the cake stands in the order in which it is placed, and can be put in another by drag. */
const loose = computed({
  get: () => tabsIn(null),
  set: (tabs) => {
    const moved = tabs.find(({ id }, at) => id !== loose.value[at]?.id && isMoved(id, tabs))
    if (moved) moveTo(moved.id, tabs.indexOf(moved))
  },
})
/** Whether a tab is the one that was taken: without it both orders are the same. */
const isMoved = (id: string, tabs: readonly { readonly id: string }[]): boolean =>
  tabs
    .filter((tab) => tab.id !== id)
    .map((tab) => tab.id)
    .join() ===
  loose.value
    .filter((tab) => tab.id !== id)
    .map((tab) => tab.id)
    .join()

const list = ref<HTMLElement | null>(null)
/** Tabs can be dragged once what drags them is loaded, after the figures. */
const dragged = shallowRef<Component | 'div'>('div')
onMounted(async () => {
  await afterPaint()
  const { VueDraggable } = await import('vue-draggable-plus')
  dragged.value = VueDraggable
})
/** Alt with an arrow moves a tab, and keeps it in the hand. */
async function moveByKey(id: string, event: KeyboardEvent): Promise<void> {
  if (!event.altKey || (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight')) return
  event.preventDefault()
  move(id, event.key === 'ArrowLeft' ? -1 : 1)
  await nextTick()
  list.value?.querySelector<HTMLElement>(`[data-id="${id}"]`)?.focus()
}

const isAdding = ref(false)
const { isFull } = useAdding()
</script>

<template>
  <div ref="list" class="relative z-20 mb-3 flex flex-wrap items-center gap-1.5" data-testid="decorations">
    <DecorationTab
      v-for="tab in gathered"
      :key="tab.id"
      :tab="tab"
      :open="tab.id === open"
      :hidden="isHidden(tab.id)"
      @click="choose(tab.id)"
      @keydown="moveByKey(tab.id, $event)"
    />
    <component
      :is="dragged"
      class="contents"
      v-bind="dragged === 'div' ? {} : { modelValue: loose, animation: 150, forceFallback: true, fallbackTolerance: 6 }"
      @update:model-value="loose = $event"
    >
      <DecorationTab
        v-for="tab in loose"
        :key="tab.id"
        :tab="tab"
        :open="tab.id === open"
        :hidden="isHidden(tab.id)"
        @click="choose(tab.id)"
        @keydown="moveByKey(tab.id, $event)"
      />
    </component>
    <button
      type="button"
      class="button min-h-9 gap-1! px-2.5 text-[0.88rem]"
      data-testid="add-decoration"
      :disabled="isFull"
      @click="isAdding = true"
    >
      <Plus class="size-4" aria-hidden="true" />Add
    </button>
    <AddingDialog v-if="isAdding" @close="isAdding = false" />
  </div>
</template>
