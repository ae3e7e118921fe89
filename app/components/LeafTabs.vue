<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'
import { NuxtLink } from '#components'
import { useRoute } from '#imports'
import type { LeafState } from '#core/plan'
import { MARKS } from '~/components/ui/severity'
import { useStudio } from '~/stores/studio'
import { LEAF_TABS } from './leaves'

const studio = useStudio()
const route = useRoute()
const list = ref<HTMLElement | null>(null)

const edges: Readonly<Record<LeafState, string>> = {
  empty: 'bg-line',
  ready: 'bg-go',
  look: 'bg-look',
  stop: 'bg-stop',
}
const words: Readonly<Record<LeafState, string>> = {
  empty: 'empty',
  ready: 'ready',
  look: 'needs a look',
  stop: 'something stops the plan',
}
/** What keeps a leaf from being ready is marked as on the list of what needs a look. */
const markOf = (state: LeafState) => (state === 'look' || state === 'stop' ? MARKS[state] : null)
const stateOf = (leaf: (typeof LEAF_TABS)[number]['leaf']): LeafState => studio.plan?.leafStates[leaf] ?? 'empty'
const isOpen = (leaf: string): boolean => route.path === `/${leaf}`

watch(
  () => route.path,
  async () => {
    await nextTick()
    list.value?.querySelector('[aria-current="page"]')?.scrollIntoView({ block: 'nearest', inline: 'center' })
  },
  { immediate: true },
)
</script>

<template>
  <nav aria-label="Leaves" class="min-w-0">
    <ul ref="list" class="flex items-end overflow-x-auto pt-2 pr-3 pl-1 [scrollbar-width:none]">
      <li
        v-for="{ leaf, name } in LEAF_TABS"
        :key="leaf"
        class="-ml-1 min-w-max flex-1 first:ml-0"
        :class="isOpen(leaf) ? 'z-10' : ''"
      >
        <NuxtLink
          :to="`/${leaf}`"
          class="relative block rounded-t-xl px-2 pb-2.5 text-center whitespace-nowrap"
          :class="[
            'transition-[padding,background] duration-150 focus-visible:-outline-offset-3',
            isOpen(leaf)
              ? 'bg-paper pt-4 text-[1rem] font-semibold'
              : 'bg-paper/55 pt-2.5 text-[0.9rem] text-ink-soft hover:bg-paper/90 hover:text-ink',
          ]"
          :style="{
            boxShadow: isOpen(leaf)
              ? '0 -6px 18px -8px rgb(70 40 30 / 0.22)'
              : 'inset -8px -8px 14px -12px rgb(70 40 30 / 0.22)',
          }"
          :aria-current="isOpen(leaf) ? 'page' : undefined"
        >
          <span
            class="absolute inset-x-3 top-1 h-[3px] rounded-full"
            :class="edges[stateOf(leaf)]"
            aria-hidden="true"
          />
          <component
            :is="markOf(stateOf(leaf))!.icon"
            v-if="markOf(stateOf(leaf))"
            class="mr-0.5 inline size-3.5 align-[-0.1em]"
            :class="markOf(stateOf(leaf))!.ink"
            aria-hidden="true"
          />{{ name }}<span class="sr-only">, {{ words[stateOf(leaf)] }}</span>
        </NuxtLink>
      </li>
    </ul>
  </nav>
</template>
