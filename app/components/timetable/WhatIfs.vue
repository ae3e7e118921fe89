<script setup lang="ts">
import { Shuffle } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import { WHAT_IFS, wordsFor, type WhatIf } from '#core/plan'
import { dayClockText, printDuration, printNumber } from '#core/quantity'
import { usePlanned } from '~/composables/planned'
import type { Tried } from '~/workers/plan'

/** Small changes, each tried by itself: what would help, and what would happen if. */
const { studio, commission, workshop, plan } = usePlanned()

const now = computed(() => ({ commission: commission.value, workshop: workshop.value }))
const asked = computed(() => WHAT_IFS.filter((each) => each.applies(now.value)))
const tried = ref<Readonly<Record<string, Tried>>>({})
const trying = ref(false)
const startBy = computed(() => (plan.value.timetable.ok ? plan.value.timetable.value.startBy : null))
// What was tried before an edit says nothing about what is after it.
watch([commission, workshop], () => {
  tried.value = {}
})

async function tryAll(): Promise<void> {
  trying.value = true
  const from = now.value
  for (const each of asked.value) {
    const result = await studio.attempt(each.change)
    if (now.value !== from) break
    tried.value = { ...tried.value, [each.id]: result }
  }
  trying.value = false
}

function difference({ startBy: other }: Tried): string {
  if (other === null || startBy.value === null) return ''
  const minutes = other - startBy.value
  return minutes === 0 ? 'as now' : `${printDuration(Math.abs(minutes))} ${minutes > 0 ? 'later' : 'earlier'}`
}

const accept = (each: WhatIf): void =>
  studio.edit(each.words.slice(0, 60), (draft) => {
    each.change(draft)
  })
</script>

<template>
  <section aria-labelledby="what-if" data-testid="what-ifs">
    <div class="flex flex-wrap items-center gap-3">
      <h2 id="what-if" class="part-title">What if</h2>
      <button type="button" class="button min-h-9 px-3 text-[0.9rem]" :disabled="trying" @click="tryAll">
        <Shuffle class="size-4" aria-hidden="true" />{{ trying ? 'Trying…' : 'Try each' }}
      </button>
    </div>
    <ul class="mt-2 grid gap-x-8 gap-y-1 md:grid-cols-2">
      <li
        v-for="each in asked"
        :key="each.id"
        class="flex flex-wrap items-baseline gap-x-3 border-t border-line py-1.5 text-[0.94rem]"
        :data-testid="`what-if-${each.id}`"
      >
        <span class="first-letter:uppercase">{{ wordsFor(each, now) }}</span>
        <template v-if="tried[each.id]">
          <span v-if="tried[each.id]!.startBy === null" class="text-stop">does not go</span>
          <b v-else>begin {{ dayClockText(tried[each.id]!.startBy!) }}</b>
          <span class="text-ink-soft"
            >{{ difference(tried[each.id]!)
            }}<template v-if="tried[each.id]!.chance !== null"
              >, sure to {{ printNumber(tried[each.id]!.chance! * 100, 0) }} %</template
            ></span
          >
        </template>
        <button v-if="each.remedy" type="button" class="figure-link ml-auto" @click="accept(each)">take it</button>
      </li>
    </ul>
  </section>
</template>
