<script setup lang="ts">
import { Check, CircleHelp, Pause, Play, SkipForward, Timer } from '@lucide/vue'
import { computed, defineAsyncComponent, ref } from 'vue'
import { MOST_PHOTOS, workedMin, type Photo } from '#core/ledger'
import type { StepCard } from '#core/make'
import { clockText, dayClockText, printDuration } from '#core/quantity'
import FigureLink from '~/components/working/FigureLink.vue'
import { wallClockAt } from '~/composables/wallClock'
import { useBench } from '~/stores/bench'
import { useStudio } from '~/stores/studio'
import PhotoShelf from '~/components/ui/PhotoShelf.vue'
import PieceCounter from './PieceCounter.vue'
import StepPicture from './StepPicture.vue'
import { stopwatchText, timerText } from './timerText'

const SkipDialog = defineAsyncComponent(() => import('./SkipDialog.vue'))

/** The step that is in hand, large enough for wet fingers. */
const props = defineProps<{ card: StepCard }>()
const emit = defineEmits<{ trouble: [] }>()

const bench = useBench()
const studio = useStudio()
const isSkipping = ref(false)
const isBegun = computed(() => props.card.record !== null && props.card.record.doneAt === null)
const isPaused = computed(() => props.card.record?.pausedAt !== null && isBegun.value)
const worked = computed(() =>
  props.card.record ? workedMin(props.card.record, Math.max(studio.now, wallClockAt(bench.nowMs))) : 0,
)
const when = computed(() =>
  studio.now > props.card.from + 1 && !isBegun.value
    ? `was to begin ${dayClockText(props.card.from)}`
    : isBegun.value
      ? `begun ${clockText(props.card.record!.begunAt)}`
      : dayClockText(props.card.from),
)

const pictures = computed(() =>
  bench.bench.stepPhotos.filter(({ task }) => task === props.card.task).map(({ photo }) => photo),
)
const others = computed(() => bench.bench.stepPhotos.length - pictures.value.length)
const keepPictures = (photos: readonly Photo[]): void =>
  bench.change('picture of a step', (before) => ({
    ...before,
    stepPhotos: [...before.stepPhotos, ...photos.map((photo) => ({ task: props.card.task, photo }))],
  }))
const letGoPicture = (id: string): void =>
  bench.change('remove a picture', (before) => ({
    ...before,
    stepPhotos: before.stepPhotos.filter(({ photo }) => photo.id !== id),
  }))
</script>

<template>
  <article class="grid gap-4" data-testid="step-now" :data-task="card.task">
    <header>
      <p class="text-[0.95rem] text-ink-soft">{{ when }}, <FigureLink :working="card.planned" /> by hand</p>
      <h1 class="font-display text-[1.9rem] leading-tight font-semibold">{{ card.name }}</h1>
    </header>
    <div class="sticky -top-5 z-10 -mx-1 -mt-5 flex gap-2 rounded-b-2xl bg-paper/95 px-1 pt-5 pb-1.5">
      <button
        v-if="!isBegun"
        type="button"
        class="button button-go min-h-16! flex-1 justify-center text-[1.2rem]"
        data-testid="begin"
        @click="bench.begin(card)"
      >
        <Play class="size-6" aria-hidden="true" />Begin
      </button>
      <template v-else>
        <button
          type="button"
          class="button button-go min-h-16! flex-1 justify-center text-[1.2rem]"
          data-testid="done"
          @click="bench.finish(card)"
        >
          <Check class="size-6" aria-hidden="true" />Done<span class="font-normal opacity-80">{{
            stopwatchText(Math.max(0, worked))
          }}</span>
        </button>
        <button
          v-if="!isPaused"
          type="button"
          class="button min-h-16! px-5!"
          data-testid="pause"
          @click="bench.pause(card)"
        >
          <Pause class="size-5" aria-hidden="true" />Put down
        </button>
        <button v-else type="button" class="button min-h-16! px-5!" data-testid="go-on" @click="bench.goOn(card)">
          <Play class="size-5" aria-hidden="true" />Go on
        </button>
      </template>
    </div>
    <dl v-if="card.amounts.length > 0" class="grid gap-1 text-[1.08rem]">
      <div
        v-for="(amount, at) in card.amounts"
        :key="at"
        class="flex items-baseline justify-between gap-4 border-b border-line pb-1"
      >
        <dt class="text-ink-soft">{{ amount.label }}</dt>
        <dd class="text-right font-semibold">{{ amount.text }}</dd>
      </div>
    </dl>
    <div class="grid gap-4 md:grid-cols-[1.5fr_1fr]">
      <div class="grid content-start gap-3">
        <p v-for="line in card.say" :key="line" class="text-[1.08rem] leading-snug">{{ line }}</p>
        <p v-for="caution in card.cautions" :key="caution" class="rounded-xl bg-look-soft px-3 py-2 text-[0.98rem]">
          {{ caution }}
        </p>
      </div>
      <StepPicture :picture="card.picture" class="order-first md:order-none" />
    </div>
    <div v-if="card.timers.length > 0" class="flex flex-wrap gap-2">
      <button
        v-for="timer in card.timers"
        :key="timer.name"
        type="button"
        class="button min-h-14!"
        @click="bench.startTimer(card, timer)"
      >
        <Timer class="size-5" aria-hidden="true" />{{ timer.name }}, {{ timerText(timer.minutes) }}
      </button>
    </div>
    <PieceCounter :card="card" />
    <PhotoShelf
      label="Keep a picture of it"
      mark="step-photo"
      :photos="pictures"
      :most="MOST_PHOTOS - others"
      @add="keepPictures"
      @remove="letGoPicture"
    />
    <p v-if="card.rest" class="text-ink-soft">
      When it is done a timer begins: {{ card.rest.name.toLowerCase() }}, {{ printDuration(card.rest.minutes) }}.
    </p>
    <details v-if="card.watch.length > 0">
      <summary class="font-display font-semibold">What to watch</summary>
      <ul class="mt-1 list-disc pl-5 marker:text-look">
        <li v-for="line in card.watch" :key="line">{{ line }}</li>
      </ul>
    </details>
    <div class="flex flex-wrap gap-2">
      <button type="button" class="button min-h-12!" data-testid="trouble" @click="emit('trouble')">
        <CircleHelp class="size-5" aria-hidden="true" />Something is wrong
      </button>
      <button type="button" class="button min-h-12!" data-testid="skip" @click="isSkipping = true">
        <SkipForward class="size-5" aria-hidden="true" />Leave it out
      </button>
    </div>
    <SkipDialog v-if="isSkipping" :card="card" @close="isSkipping = false" />
  </article>
</template>
