<script setup lang="ts">
import { Box, Image } from '@lucide/vue'
import { ref } from 'vue'
import type { Viewpoint, Room, Solid, StandScene, Window } from '#core/draw'
import { download, fileNameFor } from '~/files/download'
import { PICTURE_WIDTHS, standPng } from '~/files/standPictures'
import { useStandTools } from './standTools'
import { namedSolids } from './namedSolids'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf } from '~/components/ui/choice'
import SwitchField from '~/components/ui/SwitchField.vue'

/** What is seen as a picture, and the cake as a file in depth. */
const props = defineProps<{
  scene: StandScene
  solids: readonly Solid[]
  look: Viewpoint
  window: Window
  room: Room
  footMm: number
}>()
const { commission, option, plan } = usePlanned()
const width = ref<(typeof PICTURE_WIDTHS)[number]>(PICTURE_WIDTHS[1])
const preferences = usePreferences()
const { boxShown } = useStandTools()
const said = ref('')

async function savePicture(): Promise<void> {
  const { scene, look, window, room } = props
  const height = Math.round((width.value * window.height) / window.width)
  const wish = { scene, look, window, room, width: width.value, height }
  const picture = await standPng(
    wish,
    boxShown.value ? { size: commission.value.brief.box, footMm: props.footMm } : null,
  )
  said.value = picture ? '' : 'This browser could not draw the picture, so there is none to save.'
  if (picture) download(picture, fileNameFor(commission.value.brief.name, '.png'))
}

async function saveSolid(): Promise<void> {
  const { glbOf } = await import('./render/exportGlb')
  const made = await glbOf(commission.value.brief.name, namedSolids(props.solids, option.value, plan.value))
  download(made, fileNameFor(commission.value.brief.name, '.glb'))
}
const WIDTHS = choicesOf(PICTURE_WIDTHS, (each) => `${each} pixels wide`)
</script>

<template>
  <div class="no-print flex flex-wrap items-center justify-center gap-x-4 gap-y-1 pb-2 text-[0.9rem]">
    <ChoiceField v-model="width" class="w-44" hide-label label="Width of the picture" :choices="WIDTHS" />
    <SwitchField v-model="boxShown">with its box</SwitchField>
    <button type="button" class="button min-h-9" data-testid="save-picture" @click="savePicture">
      <Image class="size-4.5" aria-hidden="true" />Save this view
    </button>
    <button
      type="button"
      class="button min-h-9"
      data-testid="save-solid"
      title="A .glb file, one unit a metre"
      @click="saveSolid"
    >
      <Box class="size-4.5" aria-hidden="true" />Save in depth
    </button>
    <SwitchField
      data-testid="draw-simply"
      :model-value="preferences.stand === 'small'"
      @update:model-value="preferences.stand = $event ? 'small' : 'byMeasure'"
      >draw it simply, for a slow machine</SwitchField
    >
    <p v-if="said" role="status" class="w-full text-center text-stop">{{ said }}</p>
  </div>
</template>
