<script setup lang="ts">
import { Search } from '@lucide/vue'
import { computed, ref } from 'vue'
import { STARTING_POINTS, type StartingPoint } from '#core/commission'
import { FAMILIES, lookedFor, needsOfTechnique, techniqueOf, TECHNIQUES, type TechniqueId } from '#core/technique'

/** What goes on the cake, as pictures in the order people think of it, found by the words people use for it. */
const props = withDefaults(defineProps<{ withBouquet?: boolean; withBeginnings?: boolean }>(), {
  withBouquet: true,
  withBeginnings: true,
})
const emit = defineEmits<{ technique: [id: TechniqueId]; bouquet: []; beginning: [point: StartingPoint] }>()

const typed = ref('')
const families = computed(() => {
  const found = lookedFor(TECHNIQUES, typed.value)
  return FAMILIES.map(({ id, name }) => ({
    id,
    name,
    techniques: found.filter(({ family }) => family === id),
    bouquet: props.withBouquet && id === 'flowers' && 'a bouquet by a recipe'.includes(typed.value.toLowerCase()),
  })).filter(({ techniques, bouquet }) => techniques.length > 0 || bouquet)
})
const beginnings = computed(() =>
  props.withBeginnings
    ? STARTING_POINTS.filter(({ name, say }) => `${name} ${say}`.toLowerCase().includes(typed.value.toLowerCase()))
    : [],
)
/** Drawn by `npm run pictures`. */
const pictureOf = (id: string): string => `/pictures/${id}.webp`
const needs = (id: TechniqueId): string => needsOfTechnique(techniqueOf(id)).join(', ')
</script>

<template>
  <div data-testid="what-goes-on">
    <label class="relative mb-4 block max-w-md">
      <span class="sr-only">Look for</span>
      <Search class="absolute top-1/2 left-3 size-4.5 -translate-y-1/2 text-ink-soft" aria-hidden="true" />
      <input
        v-model="typed"
        type="search"
        class="field-input pl-10!"
        placeholder="rose, ribbon, feathers, frill…"
        data-testid="look-for"
      />
    </label>
    <section v-for="family in families" :key="family.id" class="mb-6" :data-family="family.id">
      <h2 class="part-title mb-2">{{ family.name }}</h2>
      <ul class="grid grid-cols-2 gap-x-4 gap-y-4 sm:grid-cols-3 xl:grid-cols-4">
        <li v-if="family.bouquet">
          <button
            type="button"
            class="flex h-full w-full flex-col rounded-2xl p-1.5 text-left hover:bg-go-soft"
            data-testid="add-bouquet"
            @click="emit('bouquet')"
          >
            <img :src="pictureOf('peonyDome')" alt="" class="aspect-4/3 w-full rounded-xl bg-paper-deep object-cover" />
            <b class="mt-1.5 block">A bouquet</b>
            <span class="block text-[0.88rem]">Blooms, buds, leaves and filler by a recipe: it says how many.</span>
          </button>
        </li>
        <li v-for="{ id, name, say } in family.techniques" :key="id">
          <button
            type="button"
            class="flex h-full w-full flex-col rounded-2xl p-1.5 text-left hover:bg-go-soft"
            :data-testid="`add-${id}`"
            @click="emit('technique', id)"
          >
            <img
              :src="pictureOf(id)"
              alt=""
              loading="lazy"
              class="aspect-4/3 w-full rounded-xl bg-paper-deep object-cover"
            />
            <b class="mt-1.5 block">{{ name }}</b>
            <span class="block text-[0.88rem]">{{ say }}</span>
            <span class="mt-0.5 block text-[0.84rem] text-ink-soft">Needs {{ needs(id) }}</span>
          </button>
        </li>
      </ul>
    </section>
    <section v-if="beginnings.length > 0" class="mb-4" data-family="beginnings">
      <h2 class="part-title mb-2">Composed beginnings</h2>
      <ul class="grid grid-cols-2 gap-4 sm:grid-cols-3 xl:grid-cols-4">
        <li v-for="point in beginnings" :key="point.id">
          <button
            type="button"
            class="flex h-full w-full flex-col rounded-2xl p-1.5 text-left hover:bg-go-soft"
            :data-testid="`begin-${point.id}`"
            @click="emit('beginning', point)"
          >
            <img
              :src="pictureOf(point.id)"
              alt=""
              loading="lazy"
              class="aspect-4/3 w-full rounded-xl bg-paper-deep object-cover"
            />
            <b class="mt-1.5 block">{{ point.name }}</b>
            <span class="block text-[0.88rem]">{{ point.say }}</span>
          </button>
        </li>
      </ul>
    </section>
    <p v-if="families.length === 0 && beginnings.length === 0" role="status">
      Nothing is called so here. Try what it looks like, such as “cloth” or “leaves”.
    </p>
    <p class="text-[0.88rem] text-ink-soft">Set pieces keep for weeks in an airtight box, cool, dark and dry.</p>
  </div>
</template>
