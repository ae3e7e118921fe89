<script setup lang="ts">
import { computed } from 'vue'
import { tierWords } from '#core/cake'
import { usePlanned } from '~/composables/planned'
import ChoiceField from '~/components/ui/ChoiceField.vue'

/** Which tier something is on; the highest where its own is gone. The plan may be one edit behind. */
defineOptions({ inheritAttrs: false })
defineProps<{ tier: number }>()
const emit = defineEmits<{ tier: [tier: number] }>()
const { plan, cake } = usePlanned()
const tiers = computed(() =>
  cake.value.tiers.map((_, index) => ({
    value: index,
    says: tierWords(plan.value.stack, Math.min(index, plan.value.stack.length - 1)),
  })),
)
</script>

<template>
  <ChoiceField
    v-bind="$attrs"
    label="Tier"
    :choices="tiers"
    :model-value="Math.min(tier, cake.tiers.length - 1)"
    @update:model-value="emit('tier', $event)"
  />
</template>
