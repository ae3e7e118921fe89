<script setup lang="ts">
import { briefSchema } from '#core/commission'
import { computed } from 'vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import { vDraft } from '~/composables/draft'
import { usePlanned } from '~/composables/planned'
import SwitchField from '~/components/ui/SwitchField.vue'

const { studio, commission, cake } = usePlanned()

const limits = [
  { key: 'noGelatine', name: 'No gelatine' },
  { key: 'noDairy', name: 'No dairy' },
  { key: 'noAlcohol', name: 'No alcohol carrier' },
] as const
const eaten = computed(() => {
  const dummies = cake.value.tiers.filter(({ inside }) => inside === 'dummy').length
  if (dummies === 0) return 'All tiers are eaten.'
  return dummies === cake.value.tiers.length
    ? 'All of it is for display.'
    : `${cake.value.tiers.length - dummies} of ${cake.value.tiers.length} tiers are eaten, the others are dummies.`
})

function setColours(event: Event): void {
  const named = (event.target as HTMLInputElement).value
    .split(',')
    .map((each) => each.trim().slice(0, 60))
    .filter(Boolean)
    .slice(0, 12)
  studio.edit('colours not wanted', (draft) => {
    draft.commission.brief.limits.noColours = named
  })
}
</script>

<template>
  <fieldset>
    <legend class="font-display mb-1 text-[1.05rem] font-semibold">Who eats it</legend>
    <div class="flex flex-wrap gap-x-5 gap-y-1.5 text-[0.94rem]">
      <SwitchField
        v-for="{ key, name } in limits"
        :key="key"
        :model-value="commission.brief.limits[key]"
        @update:model-value="
          studio.edit(name.toLowerCase(), (draft) => {
            draft.commission.brief.limits[key] = $event
          })
        "
        >{{ name }}</SwitchField
      >
    </div>
    <div class="mt-2 grid grid-cols-[1fr_8rem] gap-5">
      <label class="block text-[0.8rem] text-ink-soft"
        >No colour of this kind<input
          v-draft="commission.brief.limits.noColours.join(', ')"
          class="field-input text-ink"
          placeholder="red, or a number on the label"
          @change="setColours"
      /></label>
      <QuantityField
        :schema="briefSchema.shape.portions"
        :model-value="commission.brief.portions"
        @update:model-value="
          studio.edit('portions', (draft) => {
            draft.commission.brief.portions = $event
          })
        "
      />
    </div>
    <p class="mt-1 text-[0.86rem] text-ink-soft">{{ eaten }} Change it on the tiers.</p>
  </fieldset>
</template>
