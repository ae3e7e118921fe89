<script setup lang="ts">
/** What trials of all kinds have: their fields, what does not hold, and keeping them. */
defineProps<{ problem: string; isFull: boolean }>()
const emit = defineEmits<{ submit: [event: Event] }>()
</script>

<template>
  <form novalidate @submit="emit('submit', $event)">
    <div class="grid grid-cols-2 gap-x-4 gap-y-2"><slot /></div>
    <p v-if="problem" role="alert" class="mt-2 text-[0.88rem] text-stop">{{ problem }}</p>
    <div class="mt-3 flex items-center justify-between gap-3">
      <span class="text-[0.84rem] text-ink-soft">Colour: dip a strip in Tint.</span
      ><button type="submit" class="button button-go whitespace-nowrap" :disabled="isFull" data-testid="keep-trial">
        Keep this trial
      </button>
    </div>
  </form>
</template>
