<script setup lang="ts">
import { Shuffle, Trash2 } from '@lucide/vue'
import { computed } from 'vue'
import { shapeName, sheetsOfWords } from '#core/material'
import { sumOf } from '#core/quantity'
import { isPetalShape, silhouette, type PetalShape, techniqueOf } from '#core/technique'
import CautionList from '~/components/ui/CautionList.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import AccentSection from './AccentSection.vue'
import ArrangedAs from './ArrangedAs.vue'
import AssemblySection from './AssemblySection.vue'
import { useDecoration } from './editing'
import ElementBar from './ElementBar.vue'
import FinishSection from './FinishSection.vue'
import FlatPieces from './FlatPieces.vue'
import MakingSection from './MakingSection.vue'
import NumbersSection from './NumbersSection.vue'
import OutlineSection from './OutlineSection.vue'
import PaperChoice from './PaperChoice.vue'
import SideEditor from './SideEditor.vue'
import PetalSection from './PetalSection.vue'
import PlantChoice from './PlantChoice.vue'
import QuietSection from './QuietSection.vue'
import TopView from './TopView.vue'
import IconButton from '~/components/ui/IconButton.vue'

const props = defineProps<{ id: string }>()

const { plan, editOption, cautionsOn } = usePlanned()
const { decoration, made, edit } = useDecoration(() => props.id)
const cautions = cautionsOn('arrange')
const NEXT_SEED = 37
const SEEDS = 1_000_000

/** Where its elements begin among all, for lighting them up. */
const firstElement = computed(() =>
  plan.value.decorations
    .slice(
      0,
      plan.value.decorations.findIndex(({ id }) => id === props.id),
    )
    .reduce((sum, { elements }) => sum + elements.length, 0),
)
const hands = computed(() => plan.value.work.making.find(({ decoration: id }) => id === props.id)?.hands ?? null)
/** Sheets and discs that its pieces lie on, shared with others or not: the same as in Cut. */
const ownGroups = computed(() =>
  plan.value.groups.filter(({ parts }) => parts.some(({ decoration: of }) => of === props.id)),
)
/** Whether others are cut from the same sheets. */
const isShared = computed(() =>
  ownGroups.value.some(({ parts }) => parts.some(({ decoration: of }) => of !== props.id)),
)
const sheets = computed(() =>
  sumOf(
    'sheets',
    'count',
    'groups of sheets added up',
    ownGroups.value.map(({ sheets: each }) => each),
  ),
)
/** Sizes that it is cut from; all it may be cut from while nothing is. */
const cutShapes = computed(() => {
  const names = new Map(ownGroups.value.flatMap(({ needs }) => needs.map(({ shape }) => [shapeName(shape), shape])))
  return names.size > 0 ? [...names.values()] : (made.value?.shapes ?? [])
})
const discsMm = computed(() =>
  technique.value.fit
    ? (made.value?.shapes ?? []).flatMap((shape) => (shape.kind === 'disc' ? [shape.diameterMm] : []))
    : [],
)
const technique = computed(() => techniqueOf(decoration.value.technique))
const isGathered = computed(() => decoration.value.gathered !== null)
/** Petals have an editor of their own. */
const petal = computed<PetalShape | null>(() =>
  isPetalShape(decoration.value.parameters) ? decoration.value.parameters : null,
)

const longestPetal = computed(() =>
  Math.max(10, ...(made.value?.classes ?? []).filter(({ isPetal }) => isPetal).map(({ height }) => height.value)),
)

const shuffle = (): void =>
  edit('shuffle', (each) => {
    each.composition.seed = (each.composition.seed + NEXT_SEED) % SEEDS
  })
const remove = (): void =>
  editOption('remove a decoration', (each) => {
    each.decorations = each.decorations.filter(({ id }) => id !== props.id)
  })
</script>

<template>
  <div v-if="made">
    <div class="flex items-start justify-between gap-4">
      <LeafHeading :title="made.name">
        <template v-if="made.count.value === 0">None on the cake yet.</template>
        <template v-else
          ><FigureLink :working="made.count" :after="` ${made.count.value === 1 ? made.one : made.called}`" /> on the
          cake<template v-if="made.spread > 0">, give or take {{ made.spread }}</template
          ><template v-if="made.cast"
            >; <FigureLink :working="made.cast.slurry" /> of slurry, poured
            <FigureLink
              :working="made.cast.pours"
              :after="made.cast.pours.value === 1 ? ' time' : ' times'" /></template
          ><template v-else
            >; <FigureLink :working="made.pieces" after=" pieces" /> with spares from
            <FigureLink :working="sheets" :after="` ${sheetsOfWords(cutShapes, sheets.value)}`" />{{
              isShared ? ', shared with others' : ''
            }}</template
          ><template v-if="hands">, <FigureLink :working="hands" /> of hands</template>.</template
        >
      </LeafHeading>
      <div class="flex gap-2">
        <button v-if="!isGathered" type="button" class="button" data-testid="shuffle" @click="shuffle">
          <Shuffle class="size-4.5" aria-hidden="true" />Shuffle
        </button>
        <IconButton :icon="Trash2" :says="`Remove the ${technique.name.toLowerCase()}`" @click="remove" />
      </div>
    </div>
    <ArrangedAs :id="id" />
    <div class="grid gap-x-8 gap-y-5 lg:grid-cols-[1fr_13rem]">
      <div class="grid content-start gap-3">
        <SideEditor v-if="!isGathered" :decoration="decoration" :made="made" :first-element="firstElement" />
        <TopView v-if="!isGathered" :decorations="[decoration.id]" />
        <ElementBar v-if="!isGathered" :called="made.called" :discs-mm="discsMm" />
        <FlatPieces :decoration="decoration" :made="made" />
        <PlantChoice
          :technique="decoration.technique"
          @choose="
            (plant) =>
              edit(`after ${plant.name.toLowerCase()}`, (each) => {
                Object.assign(each.parameters, plant.parameters)
                Object.assign(each.colour, { heart: plant.colour, tail: plant.colour })
              })
          "
        />
        <AssemblySection :decoration="decoration" />
        <PetalSection
          v-if="petal"
          :shape="petal"
          :colour="decoration.colour.heart"
          :called="`${technique.name} petal`"
          :length-mm="longestPetal"
          @change="
            (shape, merge) =>
              edit(
                'shape the petal',
                (each) => {
                  Object.assign(each.parameters, shape)
                },
                merge && `petal ${merge}`,
              )
          "
        />
      </div>
      <NumbersSection :id="id" />
    </div>
    <CautionList class="mt-4" :cautions="cautions" />
    <div class="mt-5 grid gap-x-8 gap-y-5 md:grid-cols-2">
      <div class="grid content-start gap-5">
        <OutlineSection v-if="decoration.technique === silhouette.id" :id="id" />
        <PaperChoice :id="id" />
        <FinishSection :id="id" />
      </div>
      <div class="grid content-start gap-5">
        <QuietSection
          v-if="!isGathered"
          :quiet="decoration.quiet"
          :first="false"
          @edit="(label, change, merge) => edit(label, ({ quiet }) => change(quiet), merge)"
        />
        <AccentSection :follows="id" />
        <MakingSection :made="made" />
      </div>
    </div>
  </div>
  <p v-else role="status" class="text-ink-soft">Working it out…</p>
</template>
