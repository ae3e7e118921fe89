<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'
import { Archive, ArchiveRestore, Copy, Trash2 } from '@lucide/vue'
import { computed, onBeforeUnmount, useTemplateRef } from 'vue'
import { chosenOption, type Commission } from '#core/commission'
import { cakeRoom, sceneOf, type Plan } from '#core/plan'
import { dateClockText, printDuration } from '#core/quantity'
import CakeStill from '~/components/stand/CakeStill.vue'
import { wholeCake } from '~/components/stand/wholeCake'
import CautionList from '~/components/ui/CautionList.vue'
import IconButton from '~/components/ui/IconButton.vue'

/** One commission on the shelf; its cake and what is wrong with it are known while it is in view. */
const props = defineProps<{
  name: string
  /** When the event is, and the hour it is now. */
  event: number
  now: number
  archived: boolean
  isOpen: boolean
  known: { readonly commission: Commission; readonly plan: Plan } | null
}>()
const emit = defineEmits<{ open: []; copy: []; archive: []; remove: []; inView: [is: boolean] }>()

const entry = useTemplateRef('entry')
useIntersectionObserver(entry, (changes) => emit('inView', changes.at(-1)!.isIntersecting), { rootMargin: '300px' })
onBeforeUnmount(() => emit('inView', false))

const MOST_CAUTIONS = 2
const cautions = computed(() => props.known?.plan.cautions.filter(({ severity }) => severity !== 'note') ?? [])
const startBy = computed(() => {
  const { timetable, tally } = props.known?.plan ?? { timetable: { ok: false }, tally: [] }
  return timetable.ok ? (tally.find(({ id }) => id === 'startBy')?.working?.value ?? null) : null
})
const picture = computed(() => {
  if (!props.known) return null
  const { commission, plan } = props.known
  return { ...wholeCake(cakeRoom(commission, plan)), scene: sceneOf(chosenOption(commission), plan) }
})
const left = computed(() => (props.event < props.now ? 'past' : `in ${printDuration(props.event - props.now)}`))
</script>

<template>
  <li ref="entry" class="grid grid-cols-[6.5rem_1fr_auto] items-start gap-x-5 rounded-2xl bg-paper-deep/70 px-4 py-3">
    <button type="button" class="h-28" :aria-label="`Open ${name}`" @click="emit('open')">
      <CakeStill
        v-if="picture"
        class="mx-auto max-h-full"
        v-bind="picture"
        :pixels="220"
        :says="`${name} on its stand`"
      />
    </button>
    <div class="min-w-0">
      <h2 class="font-display text-[1.25rem] font-semibold">
        <button type="button" class="text-left hover:text-go" @click="emit('open')">{{ name }}</button><span
          v-if="isOpen"
          class="font-text ml-2 text-[0.82rem] font-normal text-go"
          >open</span
        >
      </h2>
      <p class="text-[0.94rem] text-ink-soft">
        {{ dateClockText(event) }}, {{ left
        }}<template v-if="startBy !== null"
          >; start by <b class="text-ink">{{ dateClockText(startBy) }}</b></template
        >
      </p>
      <CautionList v-if="cautions.length > 0" class="mt-2" elsewhere :cautions="cautions.slice(0, MOST_CAUTIONS)" />
      <p v-if="cautions.length > MOST_CAUTIONS" class="mt-1 text-[0.85rem] text-ink-soft">
        and {{ cautions.length - MOST_CAUTIONS }} more
      </p>
    </div>
    <div class="flex gap-1">
      <IconButton :icon="Copy" :says="`Copy ${name}`" @click="emit('copy')" />
      <button
        type="button"
        class="button min-h-9 px-2.5"
        :aria-label="archived ? `Take ${name} out of the archive` : `Archive ${name}`"
        @click="emit('archive')"
      >
        <component :is="archived ? ArchiveRestore : Archive" class="size-4" aria-hidden="true" />
      </button>
      <IconButton :icon="Trash2" :says="`Delete ${name}`" @click="emit('remove')" />
    </div>
  </li>
</template>
