<script setup lang="ts">
import { computed } from 'vue'
import { printWorkingValue, workingSentence, type Working } from '#core/quantity'
import { usePreferences } from '~/stores/preferences'

const props = defineProps<{ working: Working }>()

const preferences = usePreferences()
const source = computed(() => props.working.source)
const inputs = computed(() => (source.value.from === 'derived' ? Object.values(source.value.inputs) : []))
const sentence = computed(() => workingSentence(props.working, preferences.units))
const mark = computed(
  () => ({ typed: 'bg-go', starting: 'bg-look', found: 'bg-ink-soft', derived: 'bg-ink-soft' })[source.value.from],
)
</script>

<template>
  <li class="relative">
    <details v-if="inputs.length > 0">
      <summary class="rounded-lg py-1.5 pl-1">
        <span class="font-semibold">{{ working.label }} {{ printWorkingValue(working, preferences.units) }}</span>
        <span class="hidden pl-4 text-[0.88rem] text-ink-soft [details[open]>summary>&]:block">{{
          sentence.slice(sentence.indexOf(' = ') + 1)
        }}</span>
      </summary>
      <ul class="ml-2 border-l-2 border-line pl-3">
        <WorkingTree v-for="(input, at) in inputs" :key="at" :working="input" />
      </ul>
    </details>
    <p v-else class="flex items-baseline gap-2 py-1.5 text-[0.92rem]">
      <span class="size-2 shrink-0 rounded-full" :class="mark" aria-hidden="true" />{{ sentence }}
    </p>
  </li>
</template>
