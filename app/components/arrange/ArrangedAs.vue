<script setup lang="ts">
import { computed, ref } from 'vue'
import { arrangedAs, wayToFitWords, type WayToFit } from '#core/commission'
import { compositionOf, type Composition } from '#core/compose'
import { standingBefore } from '#core/decoration'
import { techniqueOf, type CompositionKind } from '#core/technique'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'
import { useChosenDecoration } from './chosen'
import { useDecoration } from './editing'

/** In which way a decoration is arranged, what another way kept, and ways out where fewer find a place than were asked. */
const props = defineProps<{ id: string }>()

const { plan, option, cake } = usePlanned()
const { choose } = useChosenDecoration(() => option.value)
const { decoration, made, edit } = useDecoration(() => props.id)
const preferences = usePreferences()
const technique = computed(() => techniqueOf(decoration.value.technique))

/** The bouquet that holds it, and those that it could be gathered into. */
const bouquet = computed(
  () => option.value.bouquets.find(({ id }) => id === decoration.value.gathered?.bouquet) ?? null,
)
const open = computed(() => (technique.value.gathers ? option.value.bouquets : []))
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
  <div>
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
    <div v-if="made?.fewer" class="mb-3 flex flex-wrap items-center gap-1.5" data-testid="fewer">
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
  </div>
</template>
