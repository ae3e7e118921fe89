<script setup lang="ts">
import { useId } from 'vue'
import { z } from 'zod'
import type { StepCard } from '#core/make'
import SheetDialog from '~/components/ui/SheetDialog.vue'
import { remark, useSubmitted } from '~/composables/submitted'
import { useBench } from '~/stores/bench'

/** A step that is left out, and why. */
const props = defineProps<{ card: StepCard }>()
const emit = defineEmits<{ close: [] }>()

const bench = useBench()
const form = useId()
const { field, submit } = useSubmitted(
  z.object({ why: remark(200) }),
  () => ({ why: '' }),
  ({ why: reason }) => {
    bench.skip(props.card, reason || 'no reason given')
    emit('close')
  },
)
const [why] = field('why')
</script>

<template>
  <SheetDialog :title="`Leave out “${card.name}”?`" width="small" @close="emit('close')">
    <form :id="form" novalidate @submit="submit">
      <label class="block text-[0.9rem] text-ink-soft"
        >Why<input v-model="why" class="field-input text-ink" maxlength="200" data-testid="why"
      /></label>
    </form>
    <template #actions
      ><button type="button" class="button" @click="emit('close')">Keep it</button
      ><button type="submit" :form class="button button-go">Leave it out</button></template
    >
  </SheetDialog>
</template>
