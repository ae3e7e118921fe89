<script setup lang="ts">
import { computed, nextTick, watch } from 'vue'
import { CUTTING_WAYS, WAY_WORDS, type Cutting } from '#core/cut'
import LeafPart from '~/components/ui/LeafPart.vue'
import { usePlanned } from '~/composables/planned'
import WayFields from './WayFields.vue'

/** How each decoration is cut, all ways compared, with what Lamellon advises: what is cut the same way together. */
const { plan, editOption } = usePlanned()

const wayOf = (id: string) =>
  plan.value.groups.find(({ parts }) => parts.some(({ decoration }) => decoration === id))?.way
const byWay = computed(() =>
  CUTTING_WAYS.map((way) => ({ way, cut: plan.value.decorations.filter(({ id }) => wayOf(id) === way) })).filter(
    ({ cut }) => cut.length > 0,
  ),
)

let changed: string | null = null
function change(id: string, cutting: Partial<Cutting>): void {
  changed = id
  editOption('way of cutting', ({ decorations }) => {
    Object.assign(decorations.find((each) => each.id === id)!.cutting, cutting)
  })
}
/** What was changed moves to what is cut the same way, and the hand with it. */
watch(byWay, async () => {
  const moved = changed
  changed = null
  if (moved === null) return
  await nextTick()
  if (document.activeElement === document.body)
    document.querySelector<HTMLElement>(`[data-testid="way-${moved}"]`)?.focus()
})
</script>

<template>
  <section v-if="byWay.length > 0" aria-labelledby="ways">
    <h2 id="ways" class="part-title mb-1">How each is cut</h2>
    <LeafPart v-for="{ way, cut } in byWay" :key="way">
      <h3 class="mt-3 mb-1 text-[0.94rem] text-ink-soft">{{ WAY_WORDS[way].name }}</h3>
      <ul class="grid gap-2">
        <li
          v-for="made in cut"
          :key="made.id"
          class="grid grid-cols-[minmax(0,1fr)] items-baseline gap-x-3 sm:grid-cols-[7.5rem_minmax(0,1fr)]"
        >
          <b class="text-[0.94rem]">{{ made.name }}</b>
          <WayFields :name="made.name" :work="made" @change="change(made.id, $event)" />
        </li>
      </ul>
    </LeafPart>
  </section>
</template>
