<script setup lang="ts">
import { tierWords } from '#core/cake'
import { usePlanned } from '~/composables/planned'

/** Which tier something is on; the highest where its own is gone. The plan may be one edit behind. */
defineOptions({ inheritAttrs: false })
defineProps<{ tier: number }>()
const emit = defineEmits<{ tier: [tier: number] }>()
const { plan, cake } = usePlanned()
</script>

<template>
  <label class="block text-[0.8rem] text-ink-soft"
    >Tier<select
      v-bind="$attrs"
      class="field-input text-ink"
      :value="Math.min(tier, cake.tiers.length - 1)"
      @change="emit('tier', Number(($event.target as HTMLSelectElement).value))"
    >
      <option v-for="(each, index) in cake.tiers" :key="each.id" :value="index">
        {{ tierWords(plan.stack, Math.min(index, plan.stack.length - 1)) }}
      </option>
    </select></label
  >
</template>
