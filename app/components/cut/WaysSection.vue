<script setup lang="ts">
import { computed } from 'vue'
import type { Cutting } from '#core/cut'
import { usePlanned } from '~/composables/planned'
import WayFields from './WayFields.vue'

/** How each decoration is cut, all ways compared, with what Lamellon advises. */
const { plan, editOption } = usePlanned()

const cut = computed(() => plan.value.decorations.filter(({ classes }) => classes.length > 0))

const change = (id: string, cutting: Partial<Cutting>): void =>
  editOption('way of cutting', ({ decorations }) => {
    Object.assign(decorations.find((each) => each.id === id)!.cutting, cutting)
  })
</script>

<template>
  <section v-if="cut.length > 0" aria-labelledby="ways">
    <h2 id="ways" class="part-title mb-1">How each is cut</h2>
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
  </section>
</template>
