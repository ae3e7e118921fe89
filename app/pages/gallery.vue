<script setup lang="ts">
import { chosenOption, newCommission, startingDecoration, type Commission } from '#core/commission'
import { onMounted, shallowRef } from 'vue'
import { roundTier, type Cake } from '#core/cake'
import { sceneOf, type Plan } from '#core/plan'
import { PLANTS, TECHNIQUES, type CompositionKind, type TechniqueId } from '#core/technique'
import FlatPiece from '~/components/arrange/FlatPiece.vue'
import { largestOf } from '~/components/arrange/flatSize'
import { plantDrawn } from '~/components/arrange/plantDrawn'
import CakeStill from '~/components/stand/CakeStill.vue'
import MeshStill from '~/components/stand/MeshStill.vue'
import { wholeCake } from '~/components/stand/wholeCake'
import FigureLink from '~/components/working/FigureLink.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import { useStudio } from '~/stores/studio'

/** Every technique on a tier and flat, for looking at them side by side. */
const studio = useStudio()
/** Room for the shade on the table too. */
const WHOLE = wholeCake({ outMm: 172, upMm: 190, belowMm: 10 }, { turnDeg: 12 })
const MOST_PIECES = 2

type Shown = { readonly id: string; readonly name: string; readonly commission: Commission; readonly plan: Plan }
const shown = shallowRef<readonly Shown[]>([])

const round: Cake = {
  board: { outline: 'round', acrossMm: 250, thicknessMm: 10 },
  tiers: [{ ...roundTier('tier', 190, 120), colour: '#efe6d8' }],
}
const square: Cake = {
  ...round,
  tiers: [{ ...round.tiers[0]!, shape: { kind: 'square', sideMm: 160, cornerMm: 3 }, turnDeg: 28 }],
}

/** Pale paper is seen on a covering of some depth. */
const PALE: readonly TechniqueId[] = [
  'steamedSpire',
  'stripScroll',
  'castMesh',
  'layeredWings',
  'foldedGlobe',
  'tornRuffle',
  'fillerSprig',
  'mouldedBloom',
]
const DEEP_COVERING = '#8fa39a'

/** What shows a technique best: few elements in front, or the whole band. */
const ARRANGED: Readonly<
  Partial<
    Record<TechniqueId, { readonly kind?: CompositionKind; readonly composition: object; readonly parameters?: object }>
  >
> = {
  soakedSail: { kind: 'sweep', composition: { endHeightDeg: 300 }, parameters: {} },
  formedSail: {
    kind: 'cluster',
    composition: { on: 'side', middleDeg: 0, upMm: 60, wideMm: 150, highMm: 70, overlap: 0.2 },
  },
  panSail: {
    kind: 'cluster',
    composition: { on: 'side', middleDeg: 0, upMm: 60, wideMm: 150, highMm: 70, overlap: 0.1 },
  },
  steamedSpire: { composition: { spanDeg: 160 }, parameters: { seenMm: 84, widthMm: 26 } },
  gatheredFan: { kind: 'band', composition: { fromMm: 10, toMm: 80, overlap: 0.15 } },
  formedWrap: { composition: { fromMm: 0, toMm: 110 }, parameters: { heightMm: 100 } },
  flatPanel: { composition: { fromMm: 0, toMm: 110 }, parameters: { panelHeightMm: 90, panelLengthMm: 140 } },
  boxPanels: { composition: { fromMm: 0, toMm: 120 } },
  castMesh: {
    kind: 'cluster',
    composition: { on: 'side', middleDeg: 0, upMm: 60, wideMm: 150, highMm: 80, overlap: 0.1 },
  },
  layeredWings: { composition: { upMm: 18, apartDeg: 14 }, parameters: { seenMm: 84 } },
  butterfly: { composition: { count: 5, middleDeg: 0, spanDeg: 120 }, parameters: { seenMm: 52 } },
  fabricBow: { composition: { upMm: 8 } },
  silhouette: { kind: 'crown', composition: { count: 3, spanDeg: 110, room: 0.5 } },
  openBloom: {
    composition: { on: 'side', middleDeg: 0, upMm: 62, wideMm: 120, highMm: 60, overlap: 0, taper: 0.6 },
    parameters: { acrossMm: 58 },
  },
  cuppedBloom: { kind: 'pair', composition: { upMm: 40, apartDeg: 60 }, parameters: { acrossMm: 74 } },
  mouldedBloom: { kind: 'pair', composition: { upMm: 40, apartDeg: 60 }, parameters: { acrossMm: 66 } },
  bud: {
    composition: { on: 'side', middleDeg: 0, upMm: 60, wideMm: 120, highMm: 60, overlap: 0 },
    parameters: { acrossMm: 26 },
  },
  floretDome: { kind: 'single', composition: { upMm: 28, middleDeg: 0 }, parameters: { acrossMm: 84 } },
  fillerSprig: { kind: 'scatter', composition: { count: 4, middleDeg: 0, spanDeg: 100 }, parameters: { lengthMm: 84 } },
  patchedLeaf: { kind: 'pair', composition: { upMm: 4, apartDeg: 50 }, parameters: { lengthMm: 104 } },
  laminatedLeaf: { kind: 'pair', composition: { upMm: 4, apartDeg: 56 }, parameters: { lengthMm: 104 } },
  freeLeafStem: { kind: 'pair', composition: { upMm: 4, apartDeg: 50 }, parameters: { leafMm: 84 } },
  puff: { composition: { on: 'shoulder', middleDeg: -10, wideMm: 150, highMm: 70 } },
}

function commissionFor(technique: TechniqueId): Commission {
  const base = newCommission(`gallery-${technique}`, studio.now)
  const shape = technique === 'boxPanels' ? square : round
  const cake = PALE.includes(technique)
    ? { ...shape, tiers: shape.tiers.map((tier) => ({ ...tier, colour: DEEP_COVERING })) }
    : shape
  const changed = ARRANGED[technique]
  const decoration = startingDecoration(technique, technique, cake.tiers, changed?.kind)
  return {
    ...base,
    options: [
      {
        ...base.options[0]!,
        cake,
        decorations: [
          {
            ...decoration,
            parameters: { ...decoration.parameters, ...changed?.parameters },
            composition: { ...decoration.composition, ...changed?.composition },
          } as typeof decoration,
        ],
      },
    ],
  }
}

const plants = PLANTS.map((plant) => ({ ...plant, drawn: plantDrawn(plant) }))

onMounted(async () => {
  for (const { id, name } of TECHNIQUES) {
    const commission = commissionFor(id)
    shown.value = [...shown.value, { id, name, commission, plan: await studio.planOf(commission) }]
  }
})
</script>

<template>
  <div>
    <LeafHeading title="Every technique">On a tier and flat, as it begins.</LeafHeading>
    <ul class="grid grid-cols-2 gap-x-4 gap-y-5 md:grid-cols-3" data-testid="gallery">
      <li v-for="each in shown" :key="each.id" :data-technique="each.id">
        <CakeStill
          class="rounded-2xl bg-paper-deep/60"
          :scene="sceneOf(chosenOption(each.commission), each.plan)"
          v-bind="WHOLE"
          :pixels="600"
          :says="each.name"
        />
        <h2 class="part-title mt-1">{{ each.name }}</h2>
        <div class="grid grid-cols-2 justify-items-center gap-x-1">
          <FlatPiece
            v-for="(piece, at) in each.plan.decorations[0]?.classes.slice(0, MOST_PIECES) ?? []"
            :key="at"
            :piece="piece"
            :colour="piece.colour"
            :largest="largestOf(each.plan.decorations[0]?.classes.slice(0, MOST_PIECES) ?? [])"
          />
          <p v-if="each.plan.decorations[0]?.cast" class="col-span-2 py-3 text-center text-[0.9rem] text-ink-soft">
            nothing is cut:
            <FigureLink :working="each.plan.decorations[0].cast.slurry" /> of slurry,
            <FigureLink
              :working="each.plan.decorations[0].cast.pours"
              :after="each.plan.decorations[0].cast.pours.value === 1 ? ' pour' : ' pours'"
            />
            for <FigureLink :working="each.plan.decorations[0].cast.area" />
          </p>
        </div>
      </li>
    </ul>
    <h2 class="leaf-title mt-8 mb-3">Plants to make after</h2>
    <ul class="grid grid-cols-4 gap-4" data-testid="plants">
      <li v-for="{ id, name, drawn } in plants" :key="id">
        <MeshStill class="rounded-2xl bg-paper-deep" :drawn :says="name" />
        <h3 class="mt-1 text-center text-[0.92rem]">{{ name }}</h3>
      </li>
    </ul>
  </div>
</template>
