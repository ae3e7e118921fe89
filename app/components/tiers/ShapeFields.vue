<script setup lang="ts">
import { z } from 'zod'
import { computed } from 'vue'
import { definitionOf, extentMm, overLobes, overLobesMm, SHAPES, type Shape, type ShapeKind } from '#core/cake'
import QuantityField from '~/components/ui/QuantityField.vue'
import ChoiceField from '~/components/ui/ChoiceField.vue'

const props = defineProps<{ shape: Shape; tierId: string }>()
const emit = defineEmits<{ 'update:shape': [shape: Shape] }>()

/** The numbers of a kind of shape, as its schema lists them. */
const fields = computed(() =>
  Object.entries(
    (definitionOf(props.shape.kind).schema as unknown as z.ZodObject<Record<string, z.ZodNumber>>).shape,
  ).filter(([key]) => key !== 'kind'),
)
const valueOf = (key: string): number => (props.shape as unknown as Record<string, number>)[key]!

/** Over the lobes, from tip to tip: marks and cutter follow from it. */
const overLobesSchema = z.number().min(60).max(700).meta({ label: 'Over the lobes', kind: 'length' })

/** Another kind, about as wide as this one. */
function change(kind: ShapeKind): void {
  emit('update:shape', definitionOf(kind).starting(Math.round(2 * extentMm(props.shape).sideways)))
}
const KINDS = SHAPES.map(({ kind, name }) => ({ value: kind, says: name }))
</script>

<template>
  <ChoiceField class="w-28" label="Shape" :choices="KINDS" :model-value="shape.kind" @update:model-value="change" />
  <QuantityField
    v-for="[key, schema] in fields"
    :key="`${shape.kind}-${key}`"
    class="w-20"
    :schema="schema"
    hide-help
    :model-value="valueOf(key)"
    @update:model-value="emit('update:shape', { ...shape, [key]: $event })"
  />
  <QuantityField
    v-if="shape.kind === 'scalloped'"
    class="w-28"
    :schema="overLobesSchema"
    hide-help
    data-testid="over-lobes"
    :model-value="Math.round(overLobesMm(shape) * 10) / 10"
    @update:model-value="emit('update:shape', overLobes(shape, $event))"
  />
</template>
