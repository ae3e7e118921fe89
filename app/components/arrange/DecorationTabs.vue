<script setup lang="ts">
import { standingBefore, type PlannedDecoration } from '#core/decoration'
import {
  MOST_BOUQUETS,
  MOST_DECORATIONS,
  startingGathering,
  startingDecoration,
  type Decoration,
} from '#core/commission'
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Flower2, LayoutGrid, Plus } from '@lucide/vue'
import { computed } from 'vue'
import { NuxtLink } from '#components'
import { TECHNIQUES, type TechniqueId } from '#core/technique'
import { usePlanned } from '~/composables/planned'
import { useChosenDecoration } from './chosen'

const { plan, option, cake, editOption } = usePlanned()
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
const tabs = computed(() => [
  ...option.value.bouquets.flatMap(({ id, name }) => [
    { id, name, count: tabsIn(id).reduce((sum, { count }) => sum + count, 0), colour: '', bouquet: true },
    ...tabsIn(id),
  ]),
  ...tabsIn(null),
])

function addBouquet(): void {
  const { bouquet, decorations } = startingGathering(crypto.randomUUID().slice(0, 8), option.value.cake.tiers)
  editOption('gather a bouquet', (each) => {
    each.bouquets.push(bouquet)
    each.decorations.unshift(...decorations)
  })
  choose(bouquet.id)
}

function add(technique: TechniqueId): void {
  const id = crypto.randomUUID()
  // What stands there already keeps its place: the new one begins beside it.
  const begun = startingDecoration(id, technique, cake.value.tiers, undefined, standingBefore(plan.value.decorations))
  editOption('add a decoration', (each) => {
    each.decorations.push(begun)
  })
  choose(id)
}
</script>

<template>
  <div class="relative z-20 mb-3 flex flex-wrap items-center gap-1.5" data-testid="decorations">
    <button
      v-for="tab in tabs"
      :key="tab.id"
      type="button"
      class="button min-h-9 gap-1.5! px-2.5 text-[0.88rem]"
      :class="tab.id === open ? 'bg-go-soft ring-2 ring-go' : ''"
      :aria-pressed="tab.id === open"
      @click="choose(tab.id)"
    >
      <Flower2 v-if="tab.bouquet" class="size-4 text-go" aria-hidden="true" /><span
        v-else
        class="size-3.5 rounded-full shadow-inner"
        :style="{ background: tab.colour }"
        aria-hidden="true"
      />{{ tab.name }}<span class="font-normal text-ink-soft">{{ tab.count }}</span>
    </button>
    <Menu as="div">
      <MenuButton
        class="button min-h-9 gap-1! px-2.5 text-[0.88rem]"
        data-testid="add-decoration"
        :disabled="option.decorations.length >= MOST_DECORATIONS"
        ><Plus class="size-4" aria-hidden="true" />Add</MenuButton
      >
      <MenuItems
        class="sheet bg-paper! absolute top-full left-0 z-30 mt-2 max-h-[60vh] w-80 overflow-y-auto rounded-2xl p-2"
      >
        <MenuItem v-slot="{ active }"
          ><NuxtLink
            class="flex items-center gap-2 rounded-lg px-3 py-2"
            :class="active ? 'bg-go-soft' : ''"
            to="/beginnings"
            data-testid="to-beginnings"
            ><LayoutGrid class="size-4" aria-hidden="true" /><b>Composed beginnings…</b></NuxtLink
          ></MenuItem
        >
        <MenuItem
          v-if="option.bouquets.length < MOST_BOUQUETS && option.decorations.length + 4 <= MOST_DECORATIONS"
          v-slot="{ active }"
          ><button
            type="button"
            class="block w-full rounded-lg px-3 py-2 text-left"
            :class="active ? 'bg-go-soft' : ''"
            data-testid="add-bouquet"
            @click="addBouquet"
          >
            <b>A bouquet</b
            ><span class="block text-[0.86rem] text-ink-soft"
              >Blooms, buds, leaves and filler by a recipe: it says how many.</span
            >
          </button></MenuItem
        >
        <MenuItem v-for="technique in TECHNIQUES" :key="technique.id" v-slot="{ active }"
          ><button
            type="button"
            class="block w-full rounded-lg px-3 py-2 text-left"
            :class="active ? 'bg-go-soft' : ''"
            @click="add(technique.id)"
          >
            <b>{{ technique.name }}</b><span class="block text-[0.86rem] text-ink-soft">{{ technique.say }}</span>
          </button></MenuItem
        >
      </MenuItems>
    </Menu>
  </div>
</template>
