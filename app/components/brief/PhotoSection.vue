<script setup lang="ts">
import { MOST_PHOTOS } from '#core/commission'
import PhotoShelf from '~/components/ui/PhotoShelf.vue'
import { usePlanned } from '~/composables/planned'

const { studio, commission } = usePlanned()
</script>

<template>
  <PhotoShelf
    :photos="commission.brief.photos"
    :most="MOST_PHOTOS"
    label="Add pictures"
    mark="photo-input"
    @add="
      studio.edit('add pictures', ({ commission: { brief } }) => {
        brief.photos.push(...$event)
      })
    "
    @remove="
      studio.edit('remove a picture', ({ commission: { brief } }) => {
        brief.photos = brief.photos.filter((photo) => photo.id !== $event)
      })
    "
  />
</template>
