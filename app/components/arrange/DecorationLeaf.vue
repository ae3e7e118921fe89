<script setup lang="ts">
import { arrangedAs, wayToFitWords, type WayToFit } from '#core/commission'
import { tierWords } from '#core/cake'
import { Shuffle, Trash2 } from '@lucide/vue'
import { computed, ref } from 'vue'
import { compositionOf, type Composition } from '#core/compose'
import { standingBefore } from '#core/decoration'
import { shapeName, sheetsOfWords } from '#core/material'
import { sumOf } from '#core/quantity'
import {
  isPetalShape,
  PETAL_FIELDS,
  silhouette,
  type CompositionKind,
  type PetalShape,
  techniqueOf,
} from '#core/technique'
import CautionList from '~/components/ui/CautionList.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'
import AccentSection from './AccentSection.vue'
import AssemblySection from './AssemblySection.vue'
import { useChosenDecoration } from './chosen'
import { useDecoration } from './editing'
import ElementBar from './ElementBar.vue'
import FinishSection from './FinishSection.vue'
import FlatPiece from './FlatPiece.vue'
import FinishedElement from './FinishedElement.vue'
import { largestOf, sideAtScale, takingToo } from './flatSize'
import MakingSection from './MakingSection.vue'
import OutlineSection from './OutlineSection.vue'
import PaperChoice from './PaperChoice.vue'
import SizesSection from './SizesSection.vue'
import SideEditor from './SideEditor.vue'
import PetalSection from './PetalSection.vue'
import PlantChoice from './PlantChoice.vue'
import QuietSection from './QuietSection.vue'
import TopView from './TopView.vue'
import ValueFields from './ValueFields.vue'
import IconButton from '~/components/ui/IconButton.vue'

const props = defineProps<{ id: string }>()

const { plan, option, cake, editOption, cautionsOn } = usePlanned()
const { choose } = useChosenDecoration(() => option.value)
const { decoration, made, edit } = useDecoration(() => props.id)
const cautions = cautionsOn('arrange')
const preferences = usePreferences()
/** Sizes drawn here; every one is listed in Cut. */
const MOST_DRAWN = 8
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
/** One scale for the flat pieces and for what becomes of them. */
const drawnIn = computed(() => {
  const shown = made.value?.classes.slice(0, MOST_DRAWN) ?? []
  const [first] = shown
  const flats = largestOf(shown)
  return first ? takingToo(flats, { widthMm: first.seenWidth.value, heightMm: first.seenHeight.value }) : flats
})
const discsMm = computed(() =>
  technique.value.fit
    ? (made.value?.shapes ?? []).flatMap((shape) => (shape.kind === 'disc' ? [shape.diameterMm] : []))
    : [],
)
const technique = computed(() => techniqueOf(decoration.value.technique))
const composition = computed(() => compositionOf(decoration.value.composition.kind))
/** What the size of its biggest is told by, mm. */
const seenMm = computed(() => {
  const [key] = technique.value.sizedBy ?? []
  return key ? (decoration.value.parameters as unknown as Record<string, number>)[key]! : null
})
/** A band that is filled by rows has no neighbours along it to overlap or stray. */
const FILLED = ['count', 'rows', 'overlap', 'irregularity']
const leftOut = computed(() => [
  ...(technique.value.layOut ? FILLED : []),
  // Sizes that were told say how many.
  ...(decoration.value.sizes.length > 0 ? ['count'] : []),
])
/** How many there are where nobody said. */
const filled = computed(() => ({
  count: String(made.value?.count.value ?? ''),
  rows: String(new Set(made.value?.elements.map(({ row }) => row)).size),
}))
const onTop = computed(() => ('on' in decoration.value.composition ? decoration.value.composition.on : null))
/** Heights mean nothing on a top, the way to the rim nothing on a side. */
const idle = computed(() =>
  onTop.value === 'top'
    ? ['upMm']
    : onTop.value === 'shoulder'
      ? ['upMm', 'reach']
      : onTop.value === 'side'
        ? ['reach']
        : [],
)

/** The bouquet that holds it, and those that it could be gathered into. */
const bouquet = computed(
  () => option.value.bouquets.find(({ id }) => id === decoration.value.gathered?.bouquet) ?? null,
)
const open = computed(() => (technique.value.gathers ? option.value.bouquets : []))
/** Petals have an editor of their own. */
const petal = computed<PetalShape | null>(() =>
  isPetalShape(decoration.value.parameters) ? decoration.value.parameters : null,
)

const longestPetal = computed(() =>
  Math.max(10, ...(made.value?.classes ?? []).filter(({ isPetal }) => isPetal).map(({ height }) => height.value)),
)

const set = (part: 'parameters' | 'composition', key: string, value: number | string | boolean | null): void =>
  edit(
    key,
    (each) => {
      ;(each[part] as unknown as Record<string, unknown>)[key] = value
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

/** How it was arranged in each way, by decoration and way, so that a way taken back is as it was. */
const known = ref(new Map<string, Composition>())
/** What came along when it was arranged in another way, and what did not. */
const changed = ref('')

/** Arranges it in another way with what was set. What was pinned stays; what was taken out belonged to the way it was. */
function arrangeAs(kind: CompositionKind): void {
  const before = decoration.value.composition
  if (kind === before.kind) return
  known.value.set(`${props.id} ${before.kind}`, { ...before })
  const called = compositionOf(kind).name.toLowerCase()
  const next = arrangedAs(
    decoration.value,
    kind,
    cake.value.tiers,
    known.value.get(`${props.id} ${kind}`) ?? null,
    standingBefore(plan.value.decorations, props.id),
  )
  edit(`as a ${called}`, (each) => {
    each.composition = next.composition
    each.byHand.out = []
  })
  const words = (names: readonly string[]): string => names.map((name) => name.toLowerCase()).join(', ')
  changed.value = [
    `Now a ${called}.`,
    ...(next.kept.length > 0 ? [`Kept: ${words(next.kept)}.`] : []),
    ...(next.lost.length > 0 ? [`Not in a ${called}: ${words(next.lost)}.`] : []),
  ].join(' ')
}

const sentenceCase = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)
const fitAll = (way: WayToFit): void =>
  edit(wayToFitWords(way, preferences.units), (each) => {
    Object.assign(each, structuredClone(way.change))
  })
</script>

<template>
  <div v-if="made">
    <div class="flex items-start justify-between gap-4">
      <LeafHeading :title="made.name">
        <FigureLink :working="made.count" :after="` ${made.count.value === 1 ? made.one : made.called}`" /> on the
        cake<template v-if="made.spread > 0">, give or take {{ made.spread }}</template
        >; <FigureLink :working="made.pieces" after=" pieces" /> with spares from
        <FigureLink :working="sheets" :after="` ${sheetsOfWords(cutShapes, sheets.value)}`" /><template v-if="hands"
          >, <FigureLink :working="hands" /> of hands</template
        >.
      </LeafHeading>
      <div class="flex gap-2">
        <button v-if="!bouquet" type="button" class="button" data-testid="shuffle" @click="shuffle">
          <Shuffle class="size-4.5" aria-hidden="true" />Shuffle
        </button>
        <IconButton :icon="Trash2" :says="`Remove the ${technique.name.toLowerCase()}`" @click="remove" />
      </div>
    </div>
    <p v-if="bouquet" class="mb-3 flex flex-wrap items-center gap-2 text-[0.95rem]" data-testid="gathered">
      <span
        >Gathered in
        <button type="button" class="figure-link font-semibold" @click="choose(bouquet.id)">{{ bouquet.name }}</button>,
        which says how many.</span
      >
      <button
        type="button"
        class="button min-h-9 px-3 text-[0.88rem]"
        @click="
          edit('out of the bouquet', (each) => {
            each.gathered = null
          })
        "
      >
        Place it by itself
      </button>
    </p>
    <div
      v-if="!bouquet && technique.compositions.length > 1"
      class="mb-3 flex flex-wrap gap-1.5"
      role="group"
      aria-label="Arranged as"
      data-testid="arranged-as"
    >
      <button
        v-for="kind in technique.compositions"
        :key="kind"
        type="button"
        class="button min-h-9 px-3 text-[0.88rem]"
        :class="kind === decoration.composition.kind ? 'bg-go-soft ring-2 ring-go' : ''"
        :aria-pressed="kind === decoration.composition.kind"
        :title="compositionOf(kind).say"
        @click="arrangeAs(kind)"
      >
        {{ compositionOf(kind).name }}
      </button>
      <button
        v-for="each in open"
        :key="each.id"
        type="button"
        class="button min-h-9 px-3 text-[0.88rem]"
        @click="
          edit('into a bouquet', (one) => {
            one.gathered = { bouquet: each.id, role: 'secondary', parts: 3 }
          })
        "
      >
        Into “{{ each.name }}”
      </button>
    </div>
    <p v-if="changed" class="mb-3 text-[0.88rem] text-ink-soft" role="status" data-testid="arranged-changed">
      {{ changed }}
    </p>
    <div v-if="made.fewer" class="mb-3 flex flex-wrap items-center gap-1.5" data-testid="fewer">
      <span class="mr-1 text-[0.95rem] font-semibold"
        ><template v-if="made.fewer.fit > 0">{{ made.fewer.asked }} asked, {{ made.fewer.fit }} fit:</template
        ><template v-else>None finds a place:</template></span
      >
      <button
        v-for="way in made.fewer.ways"
        :key="way.id"
        type="button"
        class="button min-h-9 px-3 text-[0.88rem]"
        :data-testid="`fewer-${way.id}`"
        @click="fitAll(way)"
      >
        {{ sentenceCase(wayToFitWords(way, preferences.units)) }}
      </button>
    </div>
    <div class="grid gap-x-8 gap-y-5 lg:grid-cols-[1fr_13rem]">
      <div class="grid content-start gap-3">
        <SideEditor v-if="!bouquet" :decoration="decoration" :made="made" :first-element="firstElement" />
        <TopView v-if="!bouquet" :decorations="[decoration.id]" />
        <ElementBar v-if="!bouquet" :called="made.called" :discs-mm="discsMm" />
        <div class="flex flex-wrap gap-3" data-testid="flat-pieces">
          <FlatPiece
            v-for="(piece, at) in made.classes.slice(0, MOST_DRAWN)"
            :key="at"
            :piece="piece"
            :colour="piece.colour"
            :largest="drawnIn"
          />
          <FinishedElement
            v-if="made.elements.length > 0"
            :decoration="decoration"
            :made="made"
            :side-mm="sideAtScale(drawnIn)"
          />
        </div>
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
      <div class="grid content-start gap-1.5">
        <label class="block text-[0.8rem] text-ink-soft"
          >Called<input
            class="field-input text-ink"
            maxlength="40"
            data-testid="decoration-name"
            :placeholder="technique.name"
            :value="decoration.name"
            @change="
              edit('name', (each) => {
                each.name = ($event.target as HTMLInputElement).value.trim()
              })
            "
        /></label>
        <label v-if="!bouquet && 'tier' in decoration.composition" class="block text-[0.8rem] text-ink-soft"
          >Tier<select
            class="field-input text-ink"
            data-testid="place-tier"
            :value="Math.min(decoration.composition.tier, cake.tiers.length - 1)"
            @change="set('composition', 'tier', Number(($event.target as HTMLSelectElement).value))"
          >
            <option v-for="(tier, index) in cake.tiers" :key="tier.id" :value="index">
              {{ tierWords(plan.stack, Math.min(index, plan.stack.length - 1)) }}
            </option>
          </select></label
        >
        <ValueFields
          v-if="!bouquet"
          :schema="composition.schema"
          :values="decoration.composition"
          :leave-out="[...leftOut, ...idle]"
          :none="filled"
          test-prefix="place"
          @set="(key, value) => set('composition', key, value)"
        />
        <SizesSection
          v-if="!bouquet && !technique.layOut && 'count' in decoration.composition"
          :decoration="decoration"
          :seen-mm="seenMm"
          @set="
            (sizes) =>
              edit('sizes', (each) => {
                each.sizes = [...sizes]
              })
          "
        />
        <ValueFields
          :schema="technique.parameters"
          :values="decoration.parameters"
          :leave-out="petal ? PETAL_FIELDS : []"
          test-prefix="parameter"
          @set="(key, value) => set('parameters', key, value)"
        />
      </div>
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
          v-if="!bouquet"
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
