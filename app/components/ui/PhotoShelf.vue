<script setup lang="ts">
import { ImagePlus, X } from '@lucide/vue'
import { ref } from 'vue'
import type { Photo } from '#core/ledger'
import { shrinkPhoto } from '~/components/brief/photos'

/** Pictures that are kept, and room for more. */
const props = defineProps<{ photos: readonly Photo[]; most: number; label: string; mark: string }>()
const emit = defineEmits<{ add: [photos: Photo[]]; remove: [id: string] }>()
const problems = ref<readonly string[]>([])
const input = ref<HTMLInputElement | null>(null)

async function add(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const files = [...(field.files ?? [])]
  field.value = ''
  const room = props.most - props.photos.length
  const shrunk = await Promise.all(files.slice(0, room).map(shrinkPhoto))
  const good = shrunk.flatMap((each) => ('dataUrl' in each ? [each] : []))
  problems.value = [
    ...shrunk.flatMap((each) => ('sentence' in each ? [each.sentence] : [])),
    ...(files.length > room ? [`At most ${props.most} pictures are kept; remove one first.`] : []),
  ]
  if (good.length > 0) emit('add', good)
}
</script>

<template>
  <div>
    <ul class="flex flex-wrap gap-2">
      <li v-for="photo in photos" :key="photo.id" class="group relative">
        <img :src="photo.dataUrl" :alt="photo.name" class="h-24 rounded-lg object-cover shadow" />
        <button
          type="button"
          class="absolute -top-1.5 -right-1.5 grid size-7 place-items-center rounded-full bg-paper shadow"
          :aria-label="`Remove the picture ${photo.name}`"
          @click="emit('remove', photo.id)"
        >
          <X class="size-4" aria-hidden="true" />
        </button>
      </li>
      <li>
        <button type="button" class="button h-24! rounded-lg" :disabled="photos.length >= most" @click="input?.click()">
          <ImagePlus class="size-5" aria-hidden="true" />{{ label }}
        </button>
      </li>
    </ul>
    <input
      ref="input"
      type="file"
      accept="image/*"
      multiple
      class="hidden"
      :aria-label="label"
      :data-testid="mark"
      @change="add"
    />
    <p v-for="problem in problems" :key="problem" role="alert" class="mt-1 text-[0.85rem] text-stop">{{ problem }}</p>
  </div>
</template>
