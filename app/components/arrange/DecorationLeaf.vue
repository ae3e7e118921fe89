<script setup lang="ts">
import { Shuffle } from '@lucide/vue'
import { computed, defineAsyncComponent } from 'vue'
import { tierWords } from '#core/cake'
import { compositionOf } from '#core/compose'
import { paperOf, shapeName, sheetsOfWords } from '#core/material'
import { counted, sumOf } from '#core/quantity'
import { isPetalShape, finishOf, PETAL_FIELDS, silhouette, type PetalShape, techniqueOf } from '#core/technique'
import { colourName } from '#core/tint'
import CautionList from '~/components/ui/CautionList.vue'
import LeafFold from '~/components/ui/LeafFold.vue'
import LeafPart from '~/components/ui/LeafPart.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { afterFigures } from '~/composables/afterFigures'
import { usePlanned } from '~/composables/planned'
import ArrangedAs from './ArrangedAs.vue'
import DecorationMenu from './DecorationMenu.vue'
import { useDecoration } from './editing'
import FlatPieces from './FlatPieces.vue'
import NamedHeading from './NamedHeading.vue'
import PaperChoice from './PaperChoice.vue'
import PlaceNumbers from './PlaceNumbers.vue'
import SideEditor from './SideEditor.vue'
import { sizeFields } from './sizeFields'
import ValueFields from './ValueFields.vue'

/** What is folded away at first, or comes with the pieces, waits for the figures. */
const AccentSection = afterFigures(() => import('./AccentSection.vue'))
const AssemblySection = afterFigures(() => import('./AssemblySection.vue'))
const ElementBar = afterFigures(() => import('./ElementBar.vue'))
const FinishSection = afterFigures(() => import('./FinishSection.vue'))
const MakingSection = afterFigures(() => import('./MakingSection.vue'))
const PlantChoice = afterFigures(() => import('./PlantChoice.vue'))
const QuietSection = afterFigures(() => import('./QuietSection.vue'))
const TopView = afterFigures(() => import('./TopView.vue'))
/** What only some have. */
const OutlineSection = defineAsyncComponent(() => import('./OutlineSection.vue'))
const PetalSection = defineAsyncComponent(() => import('./PetalSection.vue'))

const props = defineProps<{ id: string }>()

const { plan, option, commission, editOption, cautionsOn } = usePlanned()
const { decoration, made, edit } = useDecoration(() => props.id)
const cautions = cautionsOn('arrange')
/** What is said of this one, and of the whole cake; what is about another is said there. */
const own = computed(() => cautions.value.filter(({ decoration: of }) => of === undefined || of === props.id))
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

/** What stands in each fold, in a line. */
const whereWords = computed(() => {
  const { composition, gathered } = decoration.value
  if (gathered) return `in ${option.value.bouquets.find(({ id }) => id === gathered.bouquet)?.name ?? 'a bouquet'}`
  const called = compositionOf(composition.kind).name.toLowerCase()
  const where = 'tier' in composition ? `, ${tierWords(plan.value.stack, onStack(composition.tier))}` : ''
  const { count = null, one = '' } = made.value ?? {}
  const many = count?.value ?? 0
  return `${many > 1 ? `${called} of ${counted(many, one)}` : called}${where}`
})
/** Whether there is nothing of it on the side: then the view from above says all. */
const isAllOnTop = computed(() => {
  const elements = made.value?.elements ?? []
  return elements.length > 0 && elements.every(({ on }) => on === 'top')
})
const onStack = (tier: number): number => Math.min(tier, plan.value.stack.length - 1)
const whatWords = computed(() => {
  const many = new Map<string, number>()
  for (const { name, wholes } of made.value?.classes ?? []) many.set(name, (many.get(name) ?? 0) + wholes.needed.value)
  return [...many].map(([name, count]) => counted(count, name)).join(', ')
})
const colourWordsOf = computed(() => {
  const { colour, finishes, paper } = decoration.value
  const named = (hex: string): string => colourName(hex, commission.value.palette)
  const run = colour.steps > 1 ? `${named(colour.heart)} to ${named(colour.tail)}` : named(colour.heart)
  const finished = finishes.map(({ finish }) => finishOf(finish).name.toLowerCase())
  return [paperOf(paper).name.toLowerCase(), run, ...finished].join(', ')
})

/** Petals have an editor of their own; the size is told where it stands. */
const saidElsewhere = computed(() => [
  ...(petal.value ? PETAL_FIELDS : []),
  ...(isGathered.value ? [] : sizeFields(technique.value)),
])

const setParameter = (key: string, value: number | string | boolean | null): void =>
  edit(
    key,
    (each) => {
      ;(each.parameters as unknown as Record<string, unknown>)[key] = value
    },
    key,
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
      <NamedHeading
        :title="made.name"
        :name="decoration.name"
        :placeholder="technique.name"
        @name="
          (name) =>
            edit('name', (each) => {
              each.name = name
            })
        "
      >
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
      </NamedHeading>
      <div class="flex gap-2">
        <button v-if="!isGathered" type="button" class="button" data-testid="shuffle" @click="shuffle">
          <Shuffle class="size-4.5" aria-hidden="true" />Shuffle
        </button>
        <DecorationMenu :id="id" :called="technique.name.toLowerCase()" @remove="remove" />
      </div>
    </div>
    <CautionList class="mb-3" :cautions="own" />
    <LeafFold id="where" title="Where" :says="whereWords">
      <ArrangedAs :id="id" />
      <div v-if="!isGathered" class="grid gap-x-8 gap-y-4 lg:grid-cols-[1fr_13rem]">
        <div class="grid content-start gap-3">
          <SideEditor v-if="!isAllOnTop" :decoration="decoration" :made="made" :first-element="firstElement" />
          <LeafPart>
            <TopView :decorations="[decoration.id]" />
            <ElementBar :called="made.called" :discs-mm="discsMm" />
            <QuietSection
              :quiet="decoration.quiet"
              :first="false"
              @edit="(label, change, merge) => edit(label, ({ quiet }) => change(quiet), merge)"
            />
          </LeafPart>
        </div>
        <LeafPart><PlaceNumbers :id="id" /></LeafPart>
      </div>
    </LeafFold>
    <LeafFold id="what" title="What" :says="whatWords">
      <div class="grid gap-x-8 gap-y-5 lg:grid-cols-[1fr_13rem]">
        <div class="grid content-start gap-5">
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
          <OutlineSection v-if="decoration.technique === silhouette.id" :id="id" />
          <MakingSection :made="made" />
          <AccentSection :follows="id" />
        </div>
        <div class="grid content-start gap-1.5">
          <ValueFields
            :schema="technique.parameters"
            :values="decoration.parameters"
            :leave-out="saidElsewhere"
            test-prefix="parameter"
            @set="setParameter"
          />
        </div>
      </div>
    </LeafFold>
    <LeafFold id="colour" title="Colour and finish" :says="colourWordsOf">
      <div class="grid gap-x-8 gap-y-5 md:grid-cols-2">
        <PaperChoice :id="id" />
        <FinishSection :id="id" />
      </div>
    </LeafFold>
  </div>
  <p v-else role="status" class="text-ink-soft">Working it out…</p>
</template>
