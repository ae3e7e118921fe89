<script setup lang="ts">
import { computed } from 'vue'
import { compositionOf } from '#core/compose'
import { techniqueOf } from '#core/technique'
import { useDecoration } from './editing'
import SizesSection from './SizesSection.vue'
import { fieldsBesideSize, sizeFields } from './sizeFields'
import TierChoice from './TierChoice.vue'
import ValueFields from './ValueFields.vue'

/** Where a decoration is on the cake, how many, and in which sizes. */
const props = defineProps<{ id: string }>()

const { decoration, made, edit } = useDecoration(() => props.id)
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

const set = (key: string, value: number | string | boolean | null): void =>
  edit(
    key,
    (each) => {
      ;(each.composition as unknown as Record<string, unknown>)[key] = value
    },
    key,
  )
</script>

<template>
  <div class="grid content-start gap-1.5">
    <TierChoice
      v-if="'tier' in decoration.composition"
      :tier="decoration.composition.tier"
      data-testid="place-tier"
      @tier="set('tier', $event)"
    />
    <ValueFields
      :schema="composition.schema"
      :values="decoration.composition"
      :leave-out="[...leftOut, ...idle]"
      :none="filled"
      test-prefix="place"
      @set="(key, value) => set(key, value)"
    />
    <ValueFields
      v-if="sizeFields(technique).length > 0"
      :schema="technique.parameters"
      :values="decoration.parameters"
      :leave-out="fieldsBesideSize(technique)"
      test-prefix="parameter"
      @set="(key, value) => edit(key, (each) => Object.assign(each.parameters, { [key]: value }), key)"
    />
    <SizesSection
      v-if="!technique.layOut && 'count' in decoration.composition"
      :decoration="decoration"
      :seen-mm="seenMm"
      @set="
        (sizes) =>
          edit('sizes', (each) => {
            each.sizes = [...sizes]
          })
      "
    />
  </div>
</template>
