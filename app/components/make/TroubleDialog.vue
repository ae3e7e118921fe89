<script setup lang="ts">
import { computed, ref } from 'vue'
import { likelyCauses, TROUBLES, type LikelyCause, type TroubleChange } from '#core/care'
import { TROUBLE_CHANGES, troubleFacts, type StepCard } from '#core/make'
import { usePlanned } from '~/composables/planned'
import { wallClockAt } from '~/composables/wallClock'
import { useBench } from '~/stores/bench'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { namedChoices } from '~/components/ui/choice'
import SheetDialog from '~/components/ui/SheetDialog.vue'

/**
 * What is seen, what it comes from most likely here, what to do now and next time. What was chosen is kept with the
 * job.
 */
const props = defineProps<{ card: StepCard | null }>()
const emit = defineEmits<{ close: [] }>()
const { studio, commission, workshop, plan } = usePlanned()
const bench = useBench()

const seen = ref('')
const kept = ref('')
const things = computed(() =>
  plan.value.decorations
    .filter(({ elements }) => elements.length > 0)
    .map(({ id, name, called }) => ({ id, name: `${name.toLowerCase()}, ${called}` })),
)
const of = ref(props.card?.of?.decoration ?? things.value[0]?.id ?? '')
const causes = computed(() =>
  seen.value === '' || of.value === ''
    ? []
    : likelyCauses(seen.value, troubleFacts(of.value, plan.value, commission.value, workshop.value, bench.bench)),
)

const planSo = (change: TroubleChange): void =>
  studio.edit(TROUBLE_CHANGES[change].words.toLowerCase(), (draft) => TROUBLE_CHANGES[change].change(draft.commission))

function keep({ id }: LikelyCause): void {
  const record = { id: crypto.randomUUID(), at: 0, seen: seen.value, cause: id, task: props.card?.task ?? '' }
  bench.change('trouble noted', (before) => ({
    ...before,
    troubles: [...before.troubles, { ...record, at: Math.floor(wallClockAt(bench.nowMs)) }],
  }))
  kept.value = id
}
</script>

<template>
  <SheetDialog title="What do you see?" width="narrow" data-testid="trouble-guide" @close="emit('close')">
    <div class="grid gap-4">
      <ChoiceField v-model="of" label="On" :choices="namedChoices(things)" />
      <button v-if="seen !== ''" type="button" class="button justify-between" data-testid="seen" @click="seen = ''">
        {{ TROUBLES.find(({ id }) => id === seen)?.seen }}<span class="font-normal text-ink-soft">something else</span>
      </button>
      <div v-else class="grid gap-1.5 sm:grid-cols-2">
        <button
          v-for="trouble in TROUBLES"
          :key="trouble.id"
          type="button"
          class="min-h-12 rounded-xl bg-paper-deep px-3 text-left text-[1.02rem] hover:bg-go-soft"
          @click="seen = trouble.id"
        >
          {{ trouble.seen }}
        </button>
      </div>
      <ol v-if="causes.length > 0" class="grid gap-3" aria-label="Causes, the likeliest first">
        <li v-for="cause in causes" :key="cause.id" class="rounded-2xl border border-line px-4 py-3">
          <p class="flex items-baseline justify-between gap-3">
            <strong class="text-[1.08rem]">{{ cause.words }}</strong><span class="shrink-0 text-ink-soft"
              >{{ Math.round(cause.share * 100) }} in 100</span
            >
          </p>
          <p v-if="cause.because" class="text-[0.9rem] text-ink-soft">Here: {{ cause.because }}.</p>
          <p class="mt-1"><strong>Now</strong> {{ cause.now }}</p>
          <p><strong>Next time</strong> {{ cause.next }}</p>
          <p class="mt-2 flex flex-wrap gap-2">
            <button type="button" class="button" :disabled="kept === cause.id" @click="keep(cause)">
              {{ kept === cause.id ? 'Noted' : 'That was it' }}</button><button
              v-if="cause.change && TROUBLE_CHANGES[cause.change].applies(commission)"
              type="button"
              class="button"
              @click="planSo(cause.change)"
            >
              {{ TROUBLE_CHANGES[cause.change].words }}
            </button>
          </p>
        </li>
      </ol>
      <p v-if="causes.length > 0" class="text-[0.86rem] text-ink-soft">
        Weighed by this plan's own facts; an estimate, not a verdict.
      </p>
    </div>
    <template #actions
      ><button type="button" class="button button-go" @click="emit('close')">Back to work</button></template
    >
  </SheetDialog>
</template>
