<script setup lang="ts">
import { computed } from 'vue'
import { PLANTS, type Plant, type TechniqueId } from '#core/technique'
import MeshStill from '~/components/stand/MeshStill.vue'
import { plantDrawn } from './plantDrawn'

/** Plants that a technique can be made after; choosing one sets its shape and colour. */
const props = defineProps<{ technique: TechniqueId }>()
const emit = defineEmits<{ choose: [plant: Plant] }>()

const plants = computed(() =>
  PLANTS.filter(({ technique }) => technique === props.technique).map((plant) => ({ plant, drawn: plantDrawn(plant) })),
)
</script>

<template>
  <section v-if="plants.length > 0" data-testid="plants">
    <h2 class="part-title mb-1">Made after</h2>
    <div class="flex flex-wrap gap-2">
      <button
        v-for="{ plant, drawn } in plants"
        :key="plant.id"
        type="button"
        class="w-24 rounded-2xl p-1.5 text-center text-[0.84rem] hover:bg-go-soft"
        @click="emit('choose', plant)"
      >
        <MeshStill :drawn says="" aria-hidden="true" />{{ plant.name }}
      </button>
    </div>
  </section>
</template>
