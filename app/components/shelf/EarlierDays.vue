<script setup lang="ts">
import { computed, onMounted, shallowRef } from 'vue'
import { useRouter } from '#imports'
import { dateClockText } from '#core/quantity'
import SheetDialog from '~/components/ui/SheetDialog.vue'
import { wallClockAt } from '~/composables/wallClock'
import { SNAPSHOT_DAYS, type SnapshotDay } from '~/database/snapshots'
import { useShelf } from '~/stores/shelf'
import { useStudio } from '~/stores/studio'

/** How commissions were on the last days, the ones that were removed among them. */
const emit = defineEmits<{ close: [] }>()
const studio = useStudio()
const shelf = useShelf()
const router = useRouter()
const days = shallowRef<readonly SnapshotDay[] | null>(null)

onMounted(async () => {
  days.value = await shelf.earlierDays()
})

const isThere = ({ of }: SnapshotDay): boolean => studio.listed.some(({ id }) => id === of)
/** Each commission once, with its days. */
const commissions = computed(() => {
  const byId = new Map<string, SnapshotDay[]>()
  for (const day of days.value ?? []) byId.set(day.of, [...(byId.get(day.of) ?? []), day])
  return [...byId.entries()].map(([id, each]) => ({ id, name: each[0]!.name, isThere: isThere(each[0]!), days: each }))
})

async function bringBack(day: SnapshotDay): Promise<void> {
  await shelf.bringBackDay(day)
  emit('close')
  await router.push('/brief')
}
</script>

<template>
  <SheetDialog title="Earlier days" width="narrow" data-testid="earlier-days" @close="emit('close')">
    <p class="mb-3 text-ink-soft">
      How each commission was before its first edit of a day, for the last {{ SNAPSHOT_DAYS }} days. Bringing a day back
      can be taken back like any edit.
    </p>
    <p v-if="days?.length === 0">Nothing yet: the first is kept with your next edit.</p>
    <section v-for="each in commissions" :key="each.id" class="mb-3 rounded-2xl bg-paper-deep/70 px-4 py-3">
      <h2 class="font-display text-[1.15rem] font-semibold">
        {{ each.name }}
        <span v-if="!each.isThere" class="font-text ml-1 text-[0.85rem] font-normal text-ink-soft">removed</span>
      </h2>
      <ul class="mt-1 grid gap-1">
        <li v-for="day in each.days" :key="day.id" class="flex flex-wrap items-center justify-between gap-3">
          <span class="text-[0.94rem]"
            >{{ day.isLast ? 'When it was removed' : 'Before the first edit' }},
            {{ dateClockText(wallClockAt(day.at)) }}</span
          >
          <button type="button" class="button min-h-9" @click="bringBack(day)">Bring it back</button>
        </li>
      </ul>
    </section>
  </SheetDialog>
</template>
