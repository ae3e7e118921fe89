<script setup lang="ts">
import { ImagePlus, X } from '@lucide/vue'
import { ref } from 'vue'
import { MOST_PHOTOS } from '#core/plan'
import { usePlanned } from '~/composables/planned'
import { shrinkPhoto } from './photos'

const { studio, commission } = usePlanned()
const problems = ref<readonly string[]>([])
const input = ref<HTMLInputElement | null>(null)

async function add(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const files = [...field.files ?? []]
  field.value = ''
  const room = MOST_PHOTOS - commission.value.brief.photos.length
  const shrunk = await Promise.all(files.slice(0, room).map(shrinkPhoto))
  const good = shrunk.flatMap((each) => 'dataUrl' in each ? [each] : [])
  problems.value = [...shrunk.flatMap((each) => 'sentence' in each ? [each.sentence] : []), ...(files.length > room ? [`At most ${MOST_PHOTOS} pictures are kept; remove one first.`] : [])]
  if (good.length > 0) studio.edit('add pictures', ({ commission: { brief } }) => { brief.photos.push(...good) })
}

const remove = (id: string): void => studio.edit('remove a picture', ({ commission: { brief } }) => { brief.photos = brief.photos.filter((photo) => photo.id !== id) })
</script>

<template>
  <div>
    <ul class="flex flex-wrap gap-2">
      <li v-for="photo in commission.brief.photos" :key="photo.id" class="group relative">
        <img :src="photo.dataUrl" :alt="photo.name" class="h-24 rounded-lg object-cover shadow">
        <button type="button" class="absolute -top-1.5 -right-1.5 grid size-7 place-items-center rounded-full bg-paper shadow" :aria-label="`Remove the picture ${photo.name}`" @click="remove(photo.id)"><X class="size-4" aria-hidden="true" /></button>
      </li>
      <li><button type="button" class="button h-24! rounded-lg" :disabled="commission.brief.photos.length >= MOST_PHOTOS" @click="input?.click()"><ImagePlus class="size-5" aria-hidden="true" />Add pictures</button></li>
    </ul>
    <input ref="input" type="file" accept="image/*" multiple class="hidden" aria-label="Pictures" data-testid="photo-input" @change="add">
    <p v-for="problem in problems" :key="problem" role="alert" class="mt-1 text-[0.85rem] text-stop">{{ problem }}</p>
  </div>
</template>
