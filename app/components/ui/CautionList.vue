<script setup lang="ts">
import { CircleAlert, Eye, ShieldAlert } from '@lucide/vue'
import type { Caution } from '#core/care'

defineProps<{ cautions: readonly Caution[] }>()

const looks = {
  stop: { icon: ShieldAlert, box: 'bg-stop-soft', mark: 'text-stop', word: 'Stop' },
  look: { icon: Eye, box: 'bg-look-soft', mark: 'text-look-ink', word: 'Look' },
  note: { icon: CircleAlert, box: 'bg-paper-deep', mark: 'text-ink-soft', word: 'Mind' },
} as const
</script>

<template>
  <ul v-if="cautions.length > 0" class="grid gap-2">
    <li
      v-for="caution in cautions"
      :key="caution.code"
      class="flex gap-2.5 rounded-xl px-3 py-2 text-[0.9rem]"
      :class="looks[caution.severity].box"
    >
      <component
        :is="looks[caution.severity].icon"
        class="mt-0.5 size-4.5 shrink-0"
        :class="looks[caution.severity].mark"
        aria-hidden="true"
      />
      <p>
        <span class="sr-only">{{ looks[caution.severity].word }}: </span>{{ caution.say }}
      </p>
    </li>
  </ul>
</template>
