<script setup lang="ts">
import { TabGroup, TabList, Tab, TabPanel, TabPanels } from '@headlessui/vue'
import { computed } from 'vue'
import type { UnitSystem } from '#core/quantity'
import { pieceBoxSchema } from '#core/supply'
import PaperView from '~/components/papers/PaperView.vue'
import CautionList from '~/components/ui/CautionList.vue'
import type { Choice } from '~/components/ui/choice'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import LeafPart from '~/components/ui/LeafPart.vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import { afterFigures } from '~/composables/afterFigures'
import { useHandover } from '~/composables/handover'
import { usePlanned } from '~/composables/planned'

const PaperTools = afterFigures(() => import('~/components/papers/PaperTools.vue'))
const ChecklistSection = afterFigures(() => import('~/components/deliver/ChecklistSection.vue'))
const CountSection = afterFigures(() => import('~/components/deliver/CountSection.vue'))
const SignOffSection = afterFigures(() => import('~/components/deliver/SignOffSection.vue'))

const { studio, commission, workshop, plan, cautionsOn } = usePlanned()
const cautions = cautionsOn('deliver')
const { pack } = useHandover()
const paper = (id: string) => computed(() => pack.value.find((each) => each.id === id)!)
const [placing, packing, care, removal, signOff] = ['placing', 'packing', 'care', 'removal', 'signOff'].map(paper)
const TABS = ['Placing', 'Packing', 'On the day', 'Count in, count out', 'Care card', 'Hand over'] as const
const AS_HERE = 'here'
const units: readonly Choice<UnitSystem | typeof AS_HERE>[] = [
  { value: AS_HERE, says: 'as the studio does' },
  { value: 'metric', says: 'in millimetres and °C' },
  { value: 'imperial', says: 'in inches and °F' },
]
const measureIn = (chosen: UnitSystem | typeof AS_HERE): void =>
  studio.edit('units of the venue', (draft) => {
    draft.commission.brief.venueUnits = chosen === AS_HERE ? null : chosen
  })
const sides = ['count', 'lengthMm', 'widthMm', 'heightMm'] as const
</script>

<template>
  <div v-if="plan.decorations.length === 0">
    <LeafHeading title="Nothing to hand over yet"
      >Lay something on the cake in Arrange: placing guide, packing plan and care card write themselves.</LeafHeading
    >
  </div>
  <div v-else>
    <div class="mb-3 flex flex-wrap items-start justify-between gap-4">
      <LeafHeading class="mb-0!" title="To the door of the venue"
        >{{ commission.brief.name }}: where everything goes, what travels how, what is counted, what the client must
        know.</LeafHeading
      >
      <div class="no-print flex flex-wrap items-end gap-4">
        <ChoiceField
          label="Papers measure"
          :choices="units"
          :model-value="commission.brief.venueUnits ?? AS_HERE"
          data-testid="venue-units"
          @update:model-value="measureIn"
        />
        <LeafPart><PaperTools :papers="pack" ending="pack" title="The whole pack" /></LeafPart>
      </div>
    </div>
    <CautionList :cautions="cautions" class="mb-3" />
    <TabGroup>
      <TabList class="no-print mb-4 flex flex-wrap gap-1.5"
        ><Tab v-for="tab in TABS" :key="tab" v-slot="{ selected }" as="template"
          ><button
            type="button"
            class="rounded-full px-4 py-2 font-semibold"
            :class="selected ? 'bg-go-soft shadow-[inset_0_0_0_1.5px_var(--go)]' : 'bg-paper-deep'"
          >
            {{ tab }}
          </button></Tab
        ></TabList
      >
      <TabPanels>
        <TabPanel
          ><LeafPart><PaperView :paper="placing!" /></LeafPart
        ></TabPanel>
        <TabPanel>
          <PaperView :paper="packing!" />
          <section class="no-print mt-5 max-w-3xl" aria-label="Boxes for pieces">
            <h3 class="part-title mb-1">Boxes for pieces</h3>
            <div
              v-for="(box, at) in workshop.pieceBoxes"
              :key="at"
              class="mb-2 grid grid-cols-[7rem_repeat(4,1fr)] items-end gap-x-4"
            >
              <span class="pb-1 font-semibold">{{ box.name }}</span>
              <QuantityField
                v-for="side in sides"
                :key="side"
                :schema="pieceBoxSchema.shape[side]"
                :model-value="box[side]"
                @update:model-value="
                  studio.edit(
                    'boxes',
                    (draft) => {
                      draft.workshop.pieceBoxes[at]![side] = $event
                    },
                    `box ${at} ${side}`,
                  )
                "
              />
            </div>
            <button
              type="button"
              class="button"
              @click="
                studio.edit('add a box', (draft) => {
                  draft.workshop.pieceBoxes.push({
                    name: `box ${workshop.pieceBoxes.length + 1}`,
                    count: 1,
                    lengthMm: 500,
                    widthMm: 400,
                    heightMm: 250,
                  })
                })
              "
            >
              Add a box
            </button>
          </section>
        </TabPanel>
        <TabPanel class="max-w-3xl"><ChecklistSection /></TabPanel>
        <TabPanel class="max-w-4xl"
          ><CountSection class="no-print" /><PaperView class="mt-6" :paper="removal!"
        /></TabPanel>
        <TabPanel><PaperView :paper="care!" /></TabPanel>
        <TabPanel><SignOffSection /><PaperView class="mt-6" :paper="signOff!" /></TabPanel>
      </TabPanels>
    </TabGroup>
  </div>
</template>
