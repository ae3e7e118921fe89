<script setup lang="ts">
import { computed } from 'vue'
import { shadeRange } from '#core/learn'
import { colourNeeds } from '#core/supply'
import { CARRIER_WORDS, COLOURING_WORDS, DISH_KEEPS, doseWords, seenHex, type Dish } from '#core/tint'
import { placesOf } from '~/components/stand/elementPlaces'
import { useLit } from '~/components/stand/lit'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'
import ColourCode from './ColourCode.vue'
import { useDishNames } from './dishNames'
import DishSwatch from './DishSwatch.vue'
import { useLook } from './looking'

/**
 * Dishes for what is cut from sheets, in working order: recipe, amount, what it is for, how it looks. @see
 * core/tint/dish
 */
const props = defineProps<{ first: number }>()
const { plan, cake, workshop, option, editOption } = usePlanned()
const names = useDishNames()
const preferences = usePreferences()
const look = useLook()
const lit = useLit()

const dyesOf = (dish: Dish) => plan.value.dishes.dyes[dish.sheet.kind]
/** The tier that the first element stands on is what paper is seen against. */
const coveringOf = ({ uses }: Dish): string =>
  cake.value.tiers[plan.value.decorations.find(({ id }) => id === uses[0]!.decoration)?.elements[0]?.tier ?? 0]
    ?.colour ?? '#ffffff'
const dishes = computed(() =>
  plan.value.dishes.dishes.map((dish, at) => {
    const known = dyesOf(dish)
    return {
      dish,
      place: props.first + at,
      hex:
        dish.outOfReach === 'another'
          ? dish.target
          : seenHex(
              look.value,
              dish.inDish,
              known.map(({ dye }) => dye),
              dish.sheet,
              coveringOf(dish),
            ),
      range: shadeRange(dish.inDish, known, dish.sheet),
      words: names.ofDish(dish.id),
    }
  }),
)
const placeOf = (id: string): number => props.first + plan.value.dishes.dishes.findIndex((dish) => dish.id === id)

/** Elements on the stand that a dish colours. */
const members = ({ uses, target }: Dish): readonly number[] =>
  placesOf(
    plan.value.decorations,
    ({ colour }, { id }) =>
      uses.some(({ decoration }) => decoration === id) && colour.toLowerCase() === target.toLowerCase(),
  )

/** What is measured of a dye of the shelf. */
function measured(id: string, drops: number) {
  const { name, base } = workshop.value.dyes.find((dye) => dye.id === id) ?? { name: id, base: 'water' as const }
  return { name, ...doseWords({ base }, drops, preferences.units) }
}

/** Decorations of one colour, which a dish would serve as well with the other's. */
const oneColoured = ({ uses }: Dish) =>
  option.value.decorations.filter(
    ({ id, colour }) => colour.steps === 1 && uses.some(({ decoration }) => decoration === id),
  )
/** Mixes two dishes as one: what is coloured with the second takes the first's colour. */
function merge(dish: Dish): void {
  const target = plan.value.dishes.dishes.find(({ id }) => id === dish.near!.dish)!.target
  const ids = oneColoured(dish).map(({ id }) => id)
  editOption('mix two dishes as one', ({ decorations }) => {
    for (const each of decorations)
      if (ids.includes(each.id)) {
        each.colour.heart = target
        each.colour.tail = target
      }
  })
}
const needs = computed(() => colourNeeds(plan.value.dishes.dishes, plan.value.decorations))
const VISIBLE = 0.02
</script>

<template>
  <section
    v-if="dishes.length > 0 || plan.dishes.bare.length > 0"
    aria-labelledby="paper-dishes"
    data-testid="paper-dishes"
  >
    <h2 id="paper-dishes" class="part-title mb-2">Dishes for paper, pale first</h2>
    <ol class="grid gap-x-5 gap-y-6 sm:grid-cols-2 lg:grid-cols-4">
      <li
        v-for="({ dish, place, hex, range, words }, at) in dishes"
        :key="dish.id"
        class="flex gap-4 lg:flex-col lg:gap-2"
        @pointerenter="lit.hoverMany('element', members(dish))"
        @pointerleave="lit.leave()"
      >
        <DishSwatch
          :place="place"
          :hex="hex"
          :before="dishes[at - 1]?.hex ?? null"
          :after="dishes[at + 1]?.hex ?? null"
        />
        <div class="min-w-0 lg:text-center">
          <p class="font-semibold first-letter:uppercase">{{ words }}</p>
          <p v-if="dish.outOfReach === 'another'" class="mt-1 rounded-lg bg-stop-soft px-2.5 py-1 text-[0.9rem]">
            Out of reach: the dyes that suit make another colour. Put one of its hue on the shelf, or choose another
            colour.
          </p>
          <p v-else class="text-[0.86rem] text-ink-soft">
            into <FigureLink :working="dish.ml" />
            {{ dish.colouring.way === 'slurry' ? 'slurry' : CARRIER_WORDS[dish.colouring.carrier]
            }}{{ dish.isStirredIn && dish.colouring.way !== 'slurry' ? ' that is brushed on' : '' }}
          </p>
          <p
            v-for="{ dye, drops, whole } in dish.doses"
            :key="dye"
            class="font-display text-[1.05rem] leading-snug font-semibold"
          >
            {{ measured(dye, whole).name }} {{ measured(dye, whole).amount
            }}<span
              v-if="measured(dye, whole).beside"
              class="font-text ml-1.5 inline-block text-[0.82rem] font-normal text-ink-soft"
              >{{ measured(dye, whole).beside }}</span
            ><FigureLink class="font-text ml-1.5 text-[0.82rem] font-normal text-ink-soft" :working="drops" />
          </p>
          <p class="mt-1 text-[0.9rem]">
            <template v-for="(use, number) in dish.uses" :key="use.decoration"
              >{{ number > 0 ? ', ' : '' }}{{ use.name }},
              <FigureLink :working="use.pieces" after=" pieces" /></template
            >, {{ COLOURING_WORDS[dish.colouring.way]
            }}{{
              dish.colouring.faces === 2 && dish.colouring.way !== 'bath' && dish.colouring.way !== 'stepped'
                ? ' on both faces'
                : ''
            }}{{ dish.colouring.coats > 1 ? `, ${dish.colouring.coats} coats` : '' }}
          </p>
          <p v-if="dish.outOfReach !== 'another'" class="text-[0.86rem] text-ink-soft">
            keep {{ DISH_KEEPS[dish.colouring.carrier] }}
          </p>
          <ColourCode v-if="dish.outOfReach !== 'another'" :hex="dish.predictedHex" />
          <p
            v-if="dish.outOfReach !== 'another'"
            class="mt-1 flex items-center gap-1 text-[0.8rem] text-ink-soft lg:justify-center"
          >
            between<span
              v-for="(end, edge) in range"
              :key="edge"
              class="size-4 rounded-full border border-line"
              :style="{ background: end }"
              :title="end"
            />
          </p>
          <p
            v-if="dish.outOfReach && dish.outOfReach !== 'another'"
            class="mt-1 rounded-lg bg-look-soft px-2.5 py-1 text-[0.86rem]"
          >
            {{
              dish.outOfReach === 'paler'
                ? 'Paler than bare paper'
                : dish.outOfReach === 'deeper'
                  ? 'Deeper than one coat makes it: another coat, or both faces'
                  : 'Purer than these dyes mix'
            }}; the nearest is shown.
          </p>
          <p v-if="dish.near" class="mt-1 rounded-lg bg-look-soft px-2.5 py-1 text-[0.86rem]">
            Nearly dish {{ placeOf(dish.near.dish) }}: {{ (dish.near.difference / VISIBLE).toFixed(1) }} just visible
            steps apart.<button
              v-if="oneColoured(dish).length === dish.uses.length"
              type="button"
              class="figure-link ml-1"
              @click="merge(dish)"
            >
              mix them as one
            </button>
          </p>
        </div>
      </li>
    </ol>
    <p v-if="needs.length > 0" class="mt-3 text-[0.92rem]" data-testid="colour-needs">
      Besides dye:
      <template v-for="({ name, amount }, at) in needs" :key="name"
        >{{ at > 0 ? ', ' : '' }}<FigureLink :working="amount" /> {{ name }}</template
      >.
    </p>
    <p v-if="plan.dishes.bare.length > 0" class="mt-3 text-[0.9rem] text-ink-soft">
      Left bare: {{ plan.dishes.bare.join(', ').toLowerCase() }}.
    </p>
  </section>
</template>
