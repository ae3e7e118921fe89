<script setup lang="ts">
import { onMounted, ref } from 'vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'

/** What each stand-in can be switched to, in words. The server refuses what it does not know. */
const choices = {
  sensor: [
    ['none', 'works'],
    ['off', 'switched off'],
    ['nonsense', 'sends what cannot be true'],
    ['unreadable', 'sends what cannot be read'],
    ['jumping', 'jumps about'],
    ['silent', 'falls silent'],
    ['dropped', 'loses its line'],
  ],
  forecast: [
    ['none', 'works'],
    ['refused', 'is refused'],
    ['unreadable', 'cannot be read'],
    ['nonsense', 'makes no sense'],
    ['short', 'has too few days'],
    ['slow', 'comes too late'],
  ],
  cutter: [
    ['none', 'works'],
    ['blade', 'breaks its blade'],
    ['slip', 'lets the mat slip'],
    ['lost', 'loses its line'],
  ],
} as const

type StandIns = { sensor: string; forecast: string; cutter: string }
const NAMES: Readonly<Record<keyof StandIns, string>> = {
  sensor: 'The room sensor',
  forecast: 'The forecast',
  cutter: 'The cutting machine',
}
const current = ref<StandIns>({ sensor: 'none', forecast: 'none', cutter: 'none' })
const problem = ref('')

onMounted(async () => {
  current.value = (await (await fetch('/api/stand-ins')).json()) as StandIns
})

async function change(which: keyof StandIns, fault: string): Promise<void> {
  const response = await fetch('/api/stand-ins', {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ [which]: fault }),
  })
  problem.value = response.ok ? '' : 'The stand-in did not take it.'
  if (response.ok) current.value = (await response.json()) as StandIns
}
</script>

<template>
  <div class="max-w-2xl">
    <LeafHeading title="Stand-ins"
      >Room sensor, forecast and cutting machine are played by this machine. Switch them to a fault to see what the
      studio makes of it.</LeafHeading
    >
    <fieldset v-for="(faults, which) in choices" :key="which" class="mb-5">
      <legend class="part-title mb-1.5">{{ NAMES[which] }}</legend>
      <div class="flex flex-wrap gap-2">
        <button
          v-for="[fault, says] in faults"
          :key="fault"
          type="button"
          class="button min-h-9 px-3"
          :class="current[which] === fault ? 'bg-go-soft ring-2 ring-go' : ''"
          :aria-pressed="current[which] === fault"
          :data-testid="`${which}-${fault}`"
          @click="change(which, fault)"
        >
          {{ says }}
        </button>
      </div>
    </fieldset>
    <p v-if="problem" role="alert" class="text-stop">{{ problem }}</p>
  </div>
</template>
