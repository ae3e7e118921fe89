<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue'
import { cuttingToolsSchema } from '#core/cut'
import { printQuantity } from '#core/quantity'
import { fieldRules, readTyped } from '~/components/ui/fieldRules'
import { useDraft } from '~/composables/draft'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'

/** The punches a studio owns, typed one after the other: what is punched comes in their sizes. */
const { studio, workshop } = usePlanned()
const preferences = usePreferences()
const id = useId()
const rules = fieldRules(cuttingToolsSchema.shape.punchesMm.element)
const MOST = 12
const shown = computed(() =>
  workshop.value.tools.punchesMm.map((mm) => printQuantity(mm, 'length', preferences.units)).join(', '),
)
const { text, typing, left } = useDraft(() => shown.value)
const problem = ref('')
watch(shown, () => {
  problem.value = ''
})

/** Takes all of them, or none and says which it cannot read. */
function commit(): void {
  left()
  const parts = text.value
    .split(/[,;]/)
    .map((part) => part.trim())
    .filter((part) => part !== '')
  const read = parts.map((part) => ({ part, typed: readTyped(part, rules, preferences.units) }))
  const wrong = read.find(({ typed }) => !typed.ok)
  problem.value =
    wrong && !wrong.typed.ok
      ? `${wrong.part}: ${wrong.typed.sentence}`
      : parts.length > MOST
        ? `At most ${MOST}, please.`
        : ''
  if (problem.value) return
  const mm = read.flatMap(({ typed }) => (typed.ok ? [typed.value] : []))
  studio.edit('punches', (draft) => {
    draft.workshop.tools.punchesMm = [...new Set(mm)].sort((one, other) => one - other)
  })
}
</script>

<template>
  <div class="min-w-0">
    <label :for="id" class="block text-[0.8rem] text-ink-soft">My punches</label>
    <input
      :id="id"
      v-model="text"
      class="field-input"
      autocomplete="off"
      data-testid="punches"
      :placeholder="`any, such as ${printQuantity(25, 'length', preferences.units)}, ${printQuantity(50, 'length', preferences.units)}`"
      :aria-invalid="problem !== ''"
      :aria-describedby="problem ? `${id}-problem` : undefined"
      @input="typing"
      @blur="left"
      @change="commit"
    />
    <p v-if="problem" :id="`${id}-problem`" class="mt-1 text-[0.8rem] font-medium text-stop" role="alert">
      {{ problem }}
    </p>
    <p v-else class="mt-0.5 text-[0.75rem] text-ink-soft">What is punched comes in these sizes; none typed: in any.</p>
  </div>
</template>
