<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Ellipsis } from '@lucide/vue'
import { computed } from 'vue'
import { useHidden } from './hidden'
import { useRearranging } from './useRearranging'

/** What can be done with a decoration as a whole. */
const props = defineProps<{ id: string; called: string }>()
const emit = defineEmits<{ remove: [] }>()

const { isFull, placeOf, isLast, move, duplicate, otherTiers, toTier, otherOptions, toOption } = useRearranging()
const { isHidden, toggle } = useHidden()

type Entry = { readonly id: string; readonly words: string; readonly off?: boolean; readonly act: () => void }
const entries = computed((): readonly Entry[] => [
  { id: 'earlier', words: 'Placed earlier', off: placeOf(props.id) === 0, act: () => move(props.id, -1) },
  { id: 'later', words: 'Placed later', off: isLast(props.id), act: () => move(props.id, 1) },
  { id: 'duplicate', words: 'Duplicate', off: isFull.value, act: () => duplicate(props.id) },
  ...otherTiers(props.id).map(({ tier, words }) => ({
    id: `tier-${tier}`,
    words: `Copy to the ${words}`,
    off: isFull.value,
    act: () => toTier(props.id, tier),
  })),
  ...otherOptions.value.map(({ id, name }) => ({
    id: `option-${id}`,
    words: `Copy to “${name}”`,
    act: () => toOption(props.id, id),
  })),
  {
    id: 'hide',
    words: isHidden(props.id) ? 'Show on the stand again' : 'Hide while composing',
    act: () => toggle(props.id),
  },
  { id: 'remove', words: `Remove the ${props.called}`, act: () => emit('remove') },
])
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton class="button min-h-9 px-2.5" :aria-label="`More for the ${called}`" data-testid="decoration-menu"
      ><Ellipsis class="size-4.5" aria-hidden="true"
    /></MenuButton>
    <MenuItems class="sheet absolute right-0 z-30 mt-2 w-64 rounded-2xl bg-paper! p-2">
      <MenuItem v-for="entry in entries" :key="entry.id" v-slot="{ active }" :disabled="entry.off">
        <button
          type="button"
          class="w-full rounded-lg px-3 py-2 text-left disabled:text-ink-soft"
          :class="active ? 'bg-go-soft' : ''"
          :data-testid="`decoration-${entry.id}`"
          @click="entry.act"
        >
          {{ entry.words }}
        </button>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
