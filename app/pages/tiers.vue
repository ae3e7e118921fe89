<script setup lang="ts">
import { Plus, Printer } from '@lucide/vue'
import { computed } from 'vue'
import { NuxtLink } from '#components'
import {
  boardSchema,
  extentMm,
  insetShape,
  MOST_TIERS,
  oneBeside,
  pilesIn,
  roundShape,
  shapeSchema,
  tierWords,
  type Tier,
} from '#core/cake'
import OptionTabs from '~/components/options/OptionTabs.vue'
import { useLit } from '~/components/stand/lit'
import BoxFitSection from '~/components/tiers/BoxFitSection.vue'
import GuideSection from '~/components/tiers/GuideSection.vue'
import TierCard from '~/components/tiers/TierCard.vue'
import WarmingSection from '~/components/tiers/WarmingSection.vue'
import CautionList from '~/components/ui/CautionList.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import LeafPart from '~/components/ui/LeafPart.vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import { usePlanned } from '~/composables/planned'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf } from '~/components/ui/choice'

const { cake, plan, editCake, cautionsOn } = usePlanned()
const lit = useLit()
const cautions = cautionsOn('tiers')
const LEAST_ACROSS_MM = 60
const NARROWER_MM = 60

/** Top tier first, as it stands. The plan may be one edit behind. */
const standing = computed(() =>
  cake.value.tiers
    .flatMap((tier, index) => {
      const seen = plan.value.stack[index]
      const facts = plan.value.cake.tiers[index]
      return seen && facts ? [{ tier, index, seen, facts }] : []
    })
    .reverse(),
)
const piles = computed(() => pilesIn(plan.value.stack))
/** Bottom and top where they stand on one another, cakes by number where they stand loose. */
const nameOf = (index: number): string => {
  const words = tierWords(plan.value.stack, index)
  return words === 'the tier' ? 'Tier' : words.charAt(0).toUpperCase() + words.slice(1)
}

const setTier = (index: number, label: string, change: (tier: Tier) => void): void =>
  editCake(label, ({ tiers }) => change(tiers[index]!), `${label} ${index}`)

const newId = (): string => `tier-${crypto.randomUUID().slice(0, 8)}`

function addTier(): void {
  editCake('add a tier', ({ tiers }) => {
    const below = tiers.at(-1)!
    const acrossMm = Math.max(LEAST_ACROSS_MM, Math.round(2 * extentMm(below.shape).sideways) - NARROWER_MM)
    // It begins in the shape it stands on, where there is room for that shape.
    const alike = shapeSchema.safeParse(insetShape(JSON.parse(JSON.stringify(below.shape)), NARROWER_MM / 2))
    tiers.push({
      ...JSON.parse(JSON.stringify(below)),
      id: newId(),
      stands: 'stacked',
      shape: alike.success ? alike.data : roundShape(acrossMm),
      spacer: null,
    })
  })
}

/** A cake like the first, loose on the board beside the others, the board made wide enough. */
function addBeside(): void {
  const added = oneBeside(cake.value, newId())
  if (!added) return
  editCake('add a cake beside', (each) => {
    each.tiers.push(added.tier)
    each.board.acrossMm = added.boardAcrossMm
  })
}

const removeTier = (index: number): void =>
  editCake('remove a tier', ({ tiers }) => {
    tiers.splice(index, 1)
  })

function moveTier(index: number, by: 1 | -1): void {
  editCake('move a tier', ({ tiers }) => {
    const [tier] = tiers.splice(index, 1)
    tiers.splice(index + by, 0, tier!)
  })
}
const BOARDS = choicesOf(['round', 'square'] as const, (each) => (each === 'round' ? 'Round' : 'Square'))
</script>

<template>
  <div class="grid gap-5">
    <div class="flex flex-wrap items-start justify-between gap-x-6 gap-y-1">
      <LeafHeading title="The cake, tier by tier" class="mb-0!"
        >Sizes over the covering, at the foot; from the top down as it stands<template v-if="piles > 1"
          >, {{ piles }} cakes loose on one board</template
        >.</LeafHeading
      >
      <OptionTabs />
    </div>
    <ol class="grid gap-3">
      <li
        v-for="{ tier, index, seen, facts } in standing"
        :key="tier.id"
        :data-testid="`tier-${index + 1}`"
        @pointerenter="lit.hover('tier', index)"
        @pointerleave="lit.leave()"
      >
        <LeafPart
          ><TierCard
            :tier="tier"
            :standing="seen"
            :facts="facts"
            :name="nameOf(index)"
            :is-top="index === cake.tiers.length - 1"
            :is-bottom="index === 0"
            :may-stand-loose="index > 0"
            @change="(label, change) => setTier(index, label, change)"
            @move="(by) => moveTier(index, by)"
            @remove="removeTier(index)"
        /></LeafPart>
      </li>
    </ol>
    <div class="flex flex-wrap items-end gap-6">
      <button type="button" class="button button-go" :disabled="cake.tiers.length >= MOST_TIERS" @click="addTier">
        <Plus class="size-4.5" aria-hidden="true" />Add a tier on top
      </button>
      <button
        type="button"
        class="button"
        data-testid="add-beside"
        :disabled="cake.tiers.length >= MOST_TIERS || !oneBeside(cake, 'next')"
        @click="addBeside"
      >
        <Plus class="size-4.5" aria-hidden="true" />Add a cake beside
      </button>
      <ChoiceField
        class="w-28"
        label="Board"
        :choices="BOARDS"
        :model-value="cake.board.outline"
        @update:model-value="
          editCake('board', ({ board }) => {
            board.outline = $event
          })
        "
      />
      <QuantityField
        v-for="key in ['acrossMm', 'thicknessMm'] as const"
        :key="key"
        class="w-36"
        :schema="boardSchema.shape[key]"
        hide-help
        :model-value="cake.board[key]"
        @update:model-value="
          (value) =>
            editCake('board', ({ board }) => {
              board[key] = value
            })
        "
      />
      <NuxtLink to="/drawing" class="button" data-testid="print-drawing"
        ><Printer class="size-4.5" aria-hidden="true" />Drawing with dimensions</NuxtLink
      >
    </div>
    <BoxFitSection />
    <CautionList :cautions="cautions" class="max-w-3xl" />
    <LeafPart><WarmingSection /></LeafPart>
    <LeafPart><GuideSection /></LeafPart>
  </div>
</template>
