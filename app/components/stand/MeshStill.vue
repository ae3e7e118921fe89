<script setup lang="ts">
import { computed } from 'vue'
import { FRONT_DOWN_DEG, standSolids, windowAround, type Drawn, type Viewpoint, type Room } from '#core/draw'
import StillPicture from './StillPicture.vue'

/** One element alone, as large as its picture allows, or in a picture that shows so many millimetres. */
const props = withDefaults(defineProps<{ drawn: Drawn; says: string; sideMm?: number; pixels?: number }>(), {
  pixels: 240,
})

const MARGIN = 0.06
/** An element alone is drawn to scale: it is compared with the pieces it is made of. */
const LOOK: Viewpoint = { turnDeg: 0, downDeg: FRONT_DOWN_DEG, aimMm: 0, awayMm: null }

/** How far the element rooms, wherever on a cake it was made for. */
function roomOf(points: readonly Float32Array[]): Room {
  let [outMm, upMm, belowMm] = [0, -Infinity, -Infinity]
  for (const positions of points)
    for (let at = 0; at < positions.length; at += 3) {
      outMm = Math.max(outMm, Math.hypot(positions[at]!, positions[at + 1]!))
      upMm = Math.max(upMm, positions[at + 2]!)
      belowMm = Math.max(belowMm, -positions[at + 2]!)
    }
  return { outMm, upMm, belowMm }
}

const wish = computed(() => {
  const scene = { board: null, stack: [], elements: [props.drawn], accents: [] }
  const points = standSolids(scene).flatMap(({ parts }) => parts.map(({ positions }) => positions))
  const around = windowAround(LOOK, points, MARGIN)
  const side = props.sideMm ?? Math.max(around.width, around.height)
  const middle = { left: around.left + around.width / 2, top: around.top + around.height / 2 }
  return {
    scene,
    look: LOOK,
    window: { left: middle.left - side / 2, top: middle.top - side / 2, width: side, height: side },
    room: roomOf(points),
    width: props.pixels,
    height: props.pixels,
  }
})
</script>

<template>
  <div class="aspect-square"><StillPicture :wish="wish" :says="says" /></div>
</template>
