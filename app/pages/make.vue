<script setup lang="ts">
import { Bell, BellOff } from '@lucide/vue'
import { useEventListener } from '@vueuse/core'
import { computed, defineAsyncComponent, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { standingWords } from '~/components/make/standingWords'
import StepNow from '~/components/make/StepNow.vue'
import TimerStrip from '~/components/make/TimerStrip.vue'
import { useAlarm } from '~/components/make/useAlarm'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import { afterFigures } from '~/composables/afterFigures'
import { usePlanned } from '~/composables/planned'
import { isTyping } from '~/composables/studioKeys'
import { useBench } from '~/stores/bench'

const FormerBoard = afterFigures(() => import('~/components/make/FormerBoard.vue'))
const WorkList = afterFigures(() => import('~/components/make/WorkList.vue'))
const WorkPaper = afterFigures(() => import('~/components/make/WorkPaper.vue'))
const TroubleDialog = defineAsyncComponent(() => import('~/components/make/TroubleDialog.vue'))

const { plan } = usePlanned()
const bench = useBench()
const { wants, problem, allow } = useAlarm()
const hasTrouble = ref(false)

/** A new step is read from its beginning. */
watch(
  () => bench.now?.task,
  () => document.querySelector('main')?.scrollTo({ top: 0 }),
)
onMounted(bench.startClock)
onBeforeUnmount(bench.stopClock)

const standing = computed(() => (plan.value.timetable.ok ? standingWords(plan.value.timetable.value) : null))
const doneCount = computed(() => bench.cards.filter(({ record }) => record !== null && record.doneAt !== null).length)

/** Keys for dusty hands: count, begin, done. */
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const card = bench.now
  if (!card || event.ctrlKey || event.metaKey || event.altKey || hasTrouble.value || isTyping(event.target)) return
  const [part] = card.counts?.parts ?? []
  const isBegun = card.record !== null && card.record.doneAt === null
  if (event.key === 'g' && part) bench.count(part.id, 'good', 1)
  if (event.key === 'b' && part) bench.count(part.id, 'broken', 1)
  if (event.key === 'n') {
    if (isBegun) bench.finish(card)
    else bench.begin(card)
  }
  if (event.key === 'p' && isBegun) {
    if (card.record!.pausedAt === null) bench.pause(card)
    else bench.goOn(card)
  }
})
</script>

<template>
  <div v-if="bench.cards.length === 0">
    <LeafHeading title="Nothing to make yet">{{
      plan.timetable.ok
        ? 'Lay something on the cake in Arrange, and its steps appear here one by one.'
        : 'There is no timetable that works; see Timetable for what stops it.'
    }}</LeafHeading>
  </div>
  <div v-else class="grid gap-x-9 gap-y-5 xl:grid-cols-[1fr_20rem]">
    <div class="grid min-w-0 content-start gap-4">
      <p
        v-if="standing"
        class="rounded-2xl px-4 py-2.5 text-[0.98rem]"
        :class="standing.safe ? 'bg-go-soft' : 'bg-stop-soft'"
        data-testid="standing"
      >
        {{ standing.words }}
      </p>
      <TimerStrip />
      <ul v-if="bench.short.length > 0" class="grid gap-2" data-testid="shortages">
        <li v-for="each in bench.short" :key="each.part.id" class="rounded-2xl bg-stop-soft px-4 py-3">
          <p class="text-[1.05rem]">
            <strong>Short by {{ each.missing }}: {{ each.part.name }}.</strong> Cut {{ each.many }} more:
            {{ each.from }}.
          </p>
          <button
            type="button"
            class="button button-go mt-2 min-h-12!"
            data-testid="cut-again"
            @click="bench.cutAgain(each)"
          >
            Cut {{ each.many }} again
          </button>
        </li>
      </ul>
      <StepNow v-if="bench.now" :key="bench.now.task" :card="bench.now" @trouble="hasTrouble = true" />
      <LeafHeading v-else title="All done"
        >Every step is done. Count out what is not food and hand over in Deliver; then look back in Learn.</LeafHeading
      >
    </div>
    <aside class="grid content-start gap-6" aria-label="Around the bench">
      <FormerBoard />
      <section>
        <div class="mb-2 flex items-center justify-between gap-3">
          <h2 class="part-title">{{ doneCount }} of {{ bench.cards.length }} steps done</h2>
          <button type="button" class="button" :aria-pressed="wants" @click="allow">
            <component :is="wants ? Bell : BellOff" class="size-4.5" aria-hidden="true" />{{
              wants ? 'Rings' : 'Let timers ring'
            }}
          </button>
        </div>
        <p v-if="problem" class="mb-2 text-[0.86rem] text-ink-soft">{{ problem }}</p>
        <WorkList />
      </section>
      <WorkPaper />
      <p class="text-[0.84rem] text-ink-soft max-sm:hidden">Keys: n begin and done, p put down, g good, b broken.</p>
    </aside>
    <TroubleDialog v-if="hasTrouble" :card="bench.now" @close="hasTrouble = false" />
  </div>
</template>
