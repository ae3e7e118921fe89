<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { boxSchema } from '#core/cake'
import { climateSchema } from '#core/dry'
import type { Completion } from '#core/schedule'
import EventSection from '~/components/brief/EventSection.vue'
import LimitsSection from '~/components/brief/LimitsSection.vue'
import PaletteSection from '~/components/brief/PaletteSection.vue'
import PhotoSection from '~/components/brief/PhotoSection.vue'
import RoadSection from '~/components/brief/RoadSection.vue'
import RoomAir from '~/components/brief/RoomAir.vue'
import CautionList from '~/components/ui/CautionList.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import { vDraft } from '~/composables/draft'
import { usePlanned } from '~/composables/planned'

const { studio, commission, cautionsOn } = usePlanned()
const cautions = cautionsOn('brief')

const completions: readonly { readonly id: Completion; readonly name: string; readonly say: string }[] = [
  { id: 'beforeDriving', name: 'Before driving', say: 'The cake travels finished' },
  { id: 'atVenue', name: 'At the venue', say: 'Decorations travel boxed' },
  { id: 'handedOver', name: 'Handed over', say: 'Somebody else places them' },
]
const airs = [
  { key: 'venue', name: 'Air at the venue' },
  { key: 'transport', name: 'Air in the car' },
] as const

type Brief = typeof commission.value.brief
const set = <Key extends keyof Brief>(key: Key, value: Brief[Key], label: string): void =>
  studio.edit(label, (draft) => {
    draft.commission.brief[key] = value
  })

function setName(event: Event): void {
  const field = event.target as HTMLInputElement
  const name = field.value.trim().slice(0, 80)
  if (name) set('name', name, 'name')
  else field.value = commission.value.brief.name
}
</script>

<template>
  <div>
    <LeafHeading title="What was asked for"
      >When it must be there, who eats it, in what air it is made and shown, and the box it travels in.</LeafHeading
    >
    <div class="grid gap-x-12 gap-y-6 md:grid-cols-2">
      <section class="grid min-w-0 content-start gap-5">
        <div>
          <label for="commission-name" class="block text-[0.8rem] text-ink-soft">Commission</label>
          <input
            id="commission-name"
            v-draft="commission.brief.name"
            class="field-input font-display text-[1.35rem]!"
            maxlength="80"
            @change="setName"
          />
        </div>
        <div>
          <label for="occasion" class="block text-[0.8rem] text-ink-soft">Occasion</label>
          <input
            id="occasion"
            v-draft="commission.brief.occasion"
            class="field-input"
            maxlength="120"
            @change="set('occasion', ($event.target as HTMLInputElement).value.slice(0, 120), 'occasion')"
          />
        </div>
        <EventSection />
        <RadioGroup
          :model-value="commission.brief.completion"
          @update:model-value="set('completion', $event, 'who completes it')"
        >
          <RadioGroupLabel as="p" class="text-[0.8rem] text-ink-soft">Who completes it, and where</RadioGroupLabel>
          <div class="mt-1.5 grid grid-cols-3 gap-2">
            <RadioGroupOption v-for="each in completions" :key="each.id" :value="each.id" class="choice">
              <span class="block leading-tight font-semibold">{{ each.name }}</span><span
                class="mt-0.5 block text-[0.82rem] leading-snug text-ink-soft"
                >{{ each.say }}</span
              >
            </RadioGroupOption>
          </div>
        </RadioGroup>
        <RoadSection />
        <LimitsSection />
        <div>
          <label for="notes" class="font-display mb-1 block text-[1.05rem] font-semibold">Notes and pictures</label>
          <textarea
            id="notes"
            v-draft="commission.brief.notes"
            rows="3"
            maxlength="4000"
            class="field-input font-normal! leading-snug"
            @change="set('notes', ($event.target as HTMLTextAreaElement).value.slice(0, 4000), 'notes')"
          />
          <PhotoSection class="mt-2" />
        </div>
      </section>
      <section class="grid min-w-0 content-start gap-6">
        <RoomAir />
        <fieldset v-for="{ key, name } in airs" :key="key">
          <legend class="font-display mb-1 text-[1.05rem] font-semibold">{{ name }}</legend>
          <div class="grid grid-cols-2 gap-5">
            <QuantityField
              :schema="climateSchema.shape.airC"
              label="Warmth"
              :model-value="commission.brief[key].airC"
              @update:model-value="
                studio.edit(`${key} warmth`, (draft) => {
                  draft.commission.brief[key].airC = $event
                })
              "
            />
            <QuantityField
              :schema="climateSchema.shape.humidity"
              :model-value="commission.brief[key].humidity"
              :data-testid="`${key}-humidity`"
              @update:model-value="
                studio.edit(`${key} humidity`, (draft) => {
                  draft.commission.brief[key].humidity = $event
                })
              "
            />
          </div>
        </fieldset>
        <fieldset>
          <legend class="font-display mb-1 text-[1.05rem] font-semibold">Transport box, inside</legend>
          <div class="grid grid-cols-3 gap-5">
            <QuantityField
              v-for="side in ['widthMm', 'depthMm', 'heightMm'] as const"
              :key="side"
              :schema="boxSchema.shape[side]"
              :label="{ widthMm: 'Wide', depthMm: 'Deep', heightMm: 'High' }[side]"
              :model-value="commission.brief.box[side]"
              @update:model-value="
                studio.edit('box', (draft) => {
                  draft.commission.brief.box[side] = $event
                })
              "
            />
          </div>
        </fieldset>
        <CautionList :cautions="cautions" />
        <PaletteSection />
      </section>
    </div>
  </div>
</template>
