<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { computed } from 'vue'
import { useRouter } from '#imports'
import { stackTiers, startingCake, TIER_COUNTS } from '#core/cake'
import { briefSchema, startingDecoration, startingGathering, type Option, type StartingPoint } from '#core/commission'
import { isUsualSize } from '#core/material'
import type { TechniqueId } from '#core/technique'
import { vDraft } from '~/composables/draft'
import { useSubmitted } from '~/composables/submitted'
import { useChosenDecoration } from '~/components/arrange/chosen'
import CakeStill from '~/components/stand/CakeStill.vue'
import { wholeCake } from '~/components/stand/wholeCake'
import CurrencyChoice from '~/components/supply/CurrencyChoice.vue'
import { commissionOf, newCakeSchema, OUTLINES, papersInUse, stockedWith, unanswered } from '~/components/start/newCake'
import SheetsAtHome from '~/components/start/SheetsAtHome.vue'
import WhatGoesOn from '~/components/start/WhatGoesOn.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import PillButton from '~/components/ui/PillButton.vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import { ownBeginning } from '~/stores/startingWorkshop'
import { useStudio } from '~/stores/studio'

/** A new commission: three questions, each of which can wait, then what goes on the cake. */
const studio = useStudio()
const router = useRouter()
const { choose } = useChosenDecoration(() => studio.commission!.options[0]!)

const COUNTS = { 1: 'One tier', 2: 'Two tiers', 3: 'Three tiers' } as const
/** One scale for all that can be chosen. */
const SHOWN = wholeCake({ outMm: 200, upMm: 330, belowMm: 12 })
const workshop = computed(() => studio.workshop ?? ownBeginning())

/** What was touched to begin with, and where that is gone on with. */
let wanted: { readonly change: (option: Option) => void; readonly leaf: string }
const { values, errors, field, submit } = useSubmitted(
  newCakeSchema(studio.now),
  () => unanswered(studio.now, workshop.value.prices.currency),
  async (answers) => {
    const commission = commissionOf(answers, crypto.randomUUID(), studio.now, wanted.change)
    await studio.start(commission, (draft) => stockedWith(answers, draft))
    const [option] = commission.options
    choose(option!.bouquets[0]?.id ?? option!.decorations[0]?.id ?? '')
    await router.push(wanted.leaf)
  },
)
const [name] = field('name')
const [eventAt] = field('eventAt')
const [driveMin] = field('driveMin')
const [tiers] = field('tiers')
const [outline] = field('outline')
const [atHome] = field('atHome')
const [currency] = field('currency')
const begin = (change: (option: Option) => void, leaf: string): Promise<unknown> => {
  wanted = { change, leaf }
  return submit()
}

const bare = computed(() => {
  const cake = startingCake(values.tiers, values.outline)
  return { board: cake.board, stack: stackTiers(cake), elements: [], accents: [] }
})
const papers = computed(() => papersInUse(workshop.value))
/** The sizes that papers are usually had in come first: wafer in A4, film in discs. */
const usual = computed(() => papers.value.filter(({ paper, shape }) => isUsualSize(paper, shape)))
const others = computed(() => papers.value.filter((each) => !usual.value.includes(each)))
const tellAtHome = (called: string, sheets: number): void => {
  atHome.value = { ...values.atHome, [called]: sheets }
}
/** Asked of a studio that has not begun: later ones know what lies in their drawers. */
const asksForPaper = computed(() => studio.isEmpty)

const withTechnique = (technique: TechniqueId): Promise<unknown> =>
  begin(({ decorations, cake }) => {
    decorations.push(startingDecoration(crypto.randomUUID(), technique, cake.tiers))
  }, '/arrange')
const withBouquet = (): Promise<unknown> =>
  begin((option) => {
    const { bouquet, decorations } = startingGathering(crypto.randomUUID().slice(0, 8), option.cake.tiers)
    option.bouquets.push(bouquet)
    option.decorations.push(...decorations)
  }, '/arrange')
const withBeginning = (point: StartingPoint): Promise<unknown> =>
  begin((option) => {
    Object.assign(option, point.on(option.cake))
  }, '/arrange')
</script>

<template>
  <div data-testid="new-commission">
    <LeafHeading title="A new cake"
      >Three questions, each of which can wait. Then touch what goes on it.<template v-if="studio.isEmpty">
        <button type="button" class="figure-link ml-1" data-testid="see-demo" @click="studio.enter('demo')">
          Look round in the demo first</button
        >.</template
      ></LeafHeading
    >
    <div class="mb-6 grid gap-3 md:grid-cols-3">
      <section class="rounded-2xl bg-paper-deep/70 px-4 py-3">
        <h2 class="part-title mb-2">When and where?</h2>
        <label class="block text-[0.8rem] text-ink-soft"
          >Called<input
            v-model="name"
            class="field-input text-ink"
            maxlength="80"
            placeholder="New commission"
            data-testid="new-name"
        /></label>
        <label class="mt-2 block text-[0.8rem] text-ink-soft"
          >Event, day and hour<input
            v-draft="eventAt"
            type="datetime-local"
            class="field-input text-ink"
            :aria-invalid="errors.eventAt !== undefined"
            data-testid="new-event"
            @change="({ target }) => (eventAt = (target as HTMLInputElement).value)"
        /></label>
        <p v-if="errors.eventAt" role="alert" class="mt-1 text-[0.85rem] font-medium text-stop">{{ errors.eventAt }}</p>
        <QuantityField
          class="mt-2 w-32"
          :schema="briefSchema.shape.driveMin"
          :model-value="values.driveMin"
          @update:model-value="(value) => (driveMin = value)"
        />
      </section>
      <section class="rounded-2xl bg-paper-deep/70 px-4 py-3">
        <h2 class="part-title mb-2">What cake?</h2>
        <div class="flex flex-wrap items-end gap-2">
          <div class="grid flex-1 justify-items-start gap-1.5">
            <PillButton v-for="each in TIER_COUNTS" :key="each" :on="tiers === each" @click="tiers = each">{{
              COUNTS[each]
            }}</PillButton>
            <span class="mt-1 flex gap-1.5">
              <PillButton v-for="each in OUTLINES" :key="each" :on="outline === each" @click="outline = each">{{
                each
              }}</PillButton>
            </span>
          </div>
          <CakeStill class="w-32 shrink-0" :scene="bare" v-bind="SHOWN" says="The cake to begin with" :pixels="240" />
        </div>
        <p class="mt-2 text-[0.88rem] text-ink-soft">Sizes, shapes and coverings are set tier by tier after.</p>
      </section>
      <section v-if="asksForPaper" class="rounded-2xl bg-paper-deep/70 px-4 py-3">
        <h2 class="part-title mb-2">Which paper is at home?</h2>
        <SheetsAtHome :papers="usual" :counts="values.atHome" @change="tellAtHome" />
        <Disclosure v-slot="{ open }">
          <DisclosureButton class="figure-link mt-2 text-[0.88rem]">{{
            open ? 'Fewer sizes' : 'Other sizes'
          }}</DisclosureButton>
          <DisclosurePanel
            ><SheetsAtHome :papers="others" :counts="values.atHome" @change="tellAtHome"
          /></DisclosurePanel>
        </Disclosure>
        <CurrencyChoice v-model="currency" class="mt-3" />
      </section>
    </div>
    <div class="mb-3 flex flex-wrap items-center justify-between gap-3">
      <h2 class="leaf-title">What goes on the cake?</h2>
      <button type="button" class="button" data-testid="start-bare" @click="begin(() => undefined, '/brief')">
        Nothing yet: start with the bare cake
      </button>
    </div>
    <WhatGoesOn @technique="withTechnique" @bouquet="withBouquet" @beginning="withBeginning" />
  </div>
</template>
