<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { LOOKS, LOOK_WORDS } from '#core/tint'
import { useLook } from './looking'

/** How dried paper is looked at: on white, on the cake, from behind, against the light. */
const look = useLook()
</script>

<template>
  <RadioGroup v-model="look" class="flex flex-wrap items-center gap-1.5" data-testid="look">
    <RadioGroupLabel as="p" class="mr-1 text-[0.88rem] text-ink-soft">Dried, seen</RadioGroupLabel>
    <RadioGroupOption v-for="each in LOOKS" :key="each" v-slot="{ checked }" :value="each" as="template">
      <button
        type="button"
        class="min-h-9 rounded-full px-3.5 text-[0.9rem]"
        :class="checked ? 'bg-night text-night-ink' : 'bg-paper-deep hover:bg-line'"
      >
        {{ LOOK_WORDS[each] }}
      </button>
    </RadioGroupOption>
  </RadioGroup>
</template>
