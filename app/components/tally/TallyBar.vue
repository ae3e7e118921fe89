<script setup lang="ts">
import { defineAsyncComponent, ref, watch } from 'vue'
import { printWorkingValue } from '#core/quantity'
import { isByHours, type TallyFigure } from '#core/plan'
import { useWorkingPanel } from '~/components/working/panel'
import { usePreferences } from '~/stores/preferences'
import { useStudio } from '~/stores/studio'
import { shortWords } from './shortWords'

const NeedsALook = defineAsyncComponent(() => import('./NeedsALook.vue'))

const studio = useStudio()
const preferences = usePreferences()
const panel = useWorkingPanel()
watch(
  () => studio.tally,
  (now, before) => {
    for (const { id, working } of before) panel.follow(working, now.find((figure) => figure.id === id)?.working)
  },
)

/** Whether the list of what needs a look is open. */
const isLooking = ref(false)

/** Opens how a figure comes about; of what needs a look, the list. */
function open({ id, working }: TallyFigure): void {
  if (id === 'warnings') isLooking.value = true
  else if (working) panel.open(working)
}

/** Whether a figure is still that of the edit before. */
const isBehind = (figure: TallyFigure): boolean => studio.isPlanning && isByHours(figure)

const shown = ({ working, none }: TallyFigure): string =>
  working ? printWorkingValue(working, preferences.units) : none
</script>

<template>
  <section
    aria-label="Tally"
    :aria-busy="studio.isPlanning || studio.isLearningOfOthers"
    :data-unsaved="studio.unsaved"
    data-testid="tally"
    class="flex items-stretch overflow-x-auto bg-night text-night-ink"
  >
    <button
      v-for="figure in studio.tally"
      :key="figure.id"
      type="button"
      :class="[
        'relative flex min-w-32 flex-auto flex-col justify-start border-l border-night-soft/20 px-4 py-2.5',
        'text-left first:border-0 hover:bg-white/5 focus-visible:-outline-offset-4 disabled:cursor-default',
      ]"
      :disabled="!figure.working"
      :data-testid="`tally-${figure.id}`"
      @click="open(figure)"
    >
      <span class="flex items-center gap-2 text-[0.8rem] text-night-soft">
        {{ figure.label }}
        <Transition
          enter-active-class="transition duration-300"
          enter-from-class="opacity-0 translate-y-1"
          leave-active-class="transition duration-500"
          leave-to-class="opacity-0"
        >
          <span
            v-if="studio.differences[figure.id]"
            class="rounded-full bg-[#f3c566] px-2 text-[0.74rem] font-bold whitespace-nowrap text-[#2a1c2c]"
            :data-testid="`difference-${figure.id}`"
            >{{ studio.differences[figure.id]!.text }}</span
          >
        </Transition>
      </span>
      <span
        class="font-display text-[1.55rem] leading-tight font-semibold whitespace-nowrap"
        :class="[
          figure.id === 'warnings' && figure.working && figure.working.value > 0 ? 'text-[#f3c566]' : '',
          isBehind(figure) ? 'opacity-50 transition-opacity delay-500' : '',
        ]"
        >{{ shown(figure) }}</span
      >
      <span
        class="line-clamp-2 min-h-[2.3em] w-0 min-w-full text-[0.74rem] leading-[1.15] text-night-soft"
        :title="figure.beside"
        >{{ shortWords(figure.beside) }}</span
      >
    </button>
    <NeedsALook v-if="isLooking" @close="isLooking = false" />
  </section>
</template>
