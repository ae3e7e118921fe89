<script setup lang="ts">
import { chosenOption, type Commission } from '#core/commission'
import { Archive, ArchiveRestore, CalendarClock, Copy, FolderOpen, Plus, Save, Trash2 } from '@lucide/vue'
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue'
import { useRouter } from '#imports'
import { cakeRoom, sceneOf, type Plan } from '#core/plan'
import { dateClockText, parseMoment, printDuration } from '#core/quantity'
import { useFiles } from '~/files/files'
import { useStudioFiles } from '~/files/studioFiles'
import SetAsideList from '~/components/shelf/SetAsideList.vue'
import CakeStill from '~/components/stand/CakeStill.vue'
import { wholeCake } from '~/components/stand/wholeCake'
import CautionList from '~/components/ui/CautionList.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import { useShelf } from '~/stores/shelf'
import { useStudio } from '~/stores/studio'
import IconButton from '~/components/ui/IconButton.vue'

const studio = useStudio()
const kept = useShelf()
const router = useRouter()
const showArchived = ref(false)
const files = useFiles()
const studioFiles = useStudioFiles()
const EarlierDays = defineAsyncComponent(() => import('~/components/shelf/EarlierDays.vue'))
const daysShown = ref(false)
const removed = ref<{ readonly id: string; readonly name: string } | null>(null)
const known = shallowRef<Readonly<Record<string, { readonly commission: Commission; readonly plan: Plan }>>>({})

const momentOf = (eventAt: string): number => {
  const moment = parseMoment(eventAt)
  return moment.ok ? moment.value : 0
}
/** What is to come first, the soonest on top; what is past below. */
const shelf = computed(() =>
  studio.listed
    .filter(({ archived }) => archived === showArchived.value)
    .map((each) => ({ ...each, event: momentOf(each.eventAt) }))
    .sort((one, other) => {
      const [onePast, otherPast] = [one.event < studio.now, other.event < studio.now]
      return onePast !== otherPast
        ? Number(onePast) - Number(otherPast)
        : onePast
          ? other.event - one.event
          : one.event - other.event
    }),
)
const archivedCount = computed(() => studio.listed.filter(({ archived }) => archived).length)

let asked = 0
watch(
  () => studio.listed,
  async (listed) => {
    const mine = (asked += 1)
    for (const { id } of listed) {
      const commission = await studio.peek(id)
      if (!commission || mine !== asked) continue
      // One that cannot be worked out still stands on the shelf, without its figures.
      const plan = await studio.planOf(commission).catch(() => null)
      if (plan && mine === asked) known.value = { ...known.value, [id]: { commission, plan } }
    }
  },
  { immediate: true },
)

const attention = (plan: Plan) => plan.cautions.filter(({ severity }) => severity !== 'note')
const left = (event: number): string => (event < studio.now ? 'past' : `in ${printDuration(event - studio.now)}`)

async function open(id: string): Promise<void> {
  await studio.open(id)
  await router.push('/arrange')
}

async function remove(id: string, name: string): Promise<void> {
  await studio.remove(id)
  removed.value = { id, name }
}

async function bringBack(): Promise<void> {
  if (removed.value) await kept.bringBack(removed.value.id)
  removed.value = null
}
</script>

<template>
  <div>
    <div class="flex flex-wrap items-start justify-between gap-3">
      <LeafHeading :title="showArchived ? 'Archive' : 'The shelf'">{{
        showArchived
          ? 'Put away, with everything in it.'
          : 'All commissions, the soonest first, with what needs a look.'
      }}</LeafHeading>
      <div class="flex flex-wrap gap-2">
        <button
          v-if="archivedCount > 0 || showArchived"
          type="button"
          class="button"
          @click="showArchived = !showArchived"
        >
          {{ showArchived ? 'Back to the shelf' : `Archive (${archivedCount})` }}
        </button>
        <button type="button" class="button button-go" @click="router.push('/new')">
          <Plus class="size-4.5" aria-hidden="true" />New commission
        </button>
      </div>
    </div>
    <p v-if="removed" role="status" class="mb-3 flex gap-3 rounded-xl bg-look-soft px-4 py-2">
      “{{ removed.name }}” was deleted.
      <button type="button" class="figure-link" data-testid="bring-back" @click="bringBack">Bring it back</button>
    </p>
    <p v-if="shelf.length === 0" class="text-ink-soft">Nothing here.</p>
    <ul class="grid gap-3" data-testid="shelf">
      <li
        v-for="each in shelf"
        :key="each.id"
        class="grid grid-cols-[6.5rem_1fr_auto] items-start gap-x-5 rounded-2xl bg-paper-deep/70 px-4 py-3"
      >
        <button type="button" class="h-28" :aria-label="`Open ${each.name}`" @click="open(each.id)">
          <CakeStill
            v-if="known[each.id]"
            class="mx-auto max-h-full"
            v-bind="wholeCake(cakeRoom(known[each.id]!.commission, known[each.id]!.plan))"
            :scene="sceneOf(chosenOption(known[each.id]!.commission), known[each.id]!.plan)"
            :pixels="220"
            :says="`${each.name} on its stand`"
          />
        </button>
        <div class="min-w-0">
          <h2 class="font-display text-[1.25rem] font-semibold">
            <button type="button" class="hover:text-go" @click="open(each.id)">{{ each.name }}</button><span
              v-if="each.id === studio.commission?.id"
              class="font-text ml-2 text-[0.82rem] font-normal text-go"
              >open</span
            >
          </h2>
          <p class="text-[0.94rem] text-ink-soft">
            {{ dateClockText(each.event) }}, {{ left(each.event)
            }}<template
              v-if="
                known[each.id]?.plan.timetable.ok &&
                known[each.id]!.plan.tally.find(({ id }) => id === 'startBy')?.working
              "
              >; start by
              <b class="text-ink">{{
                dateClockText(known[each.id]!.plan.tally.find(({ id }) => id === 'startBy')!.working!.value)
              }}</b></template
            >
          </p>
          <CautionList
            v-if="known[each.id]"
            class="mt-2"
            elsewhere
            :cautions="attention(known[each.id]!.plan).slice(0, 2)"
          />
          <p
            v-if="known[each.id] && attention(known[each.id]!.plan).length > 2"
            class="mt-1 text-[0.85rem] text-ink-soft"
          >
            and {{ attention(known[each.id]!.plan).length - 2 }} more
          </p>
        </div>
        <div class="flex gap-1">
          <IconButton :icon="Copy" :says="`Copy ${each.name}`" @click="kept.copy(each.id)" />
          <button
            type="button"
            class="button min-h-9 px-2.5"
            :aria-label="each.archived ? `Take ${each.name} out of the archive` : `Archive ${each.name}`"
            @click="kept.archive(each.id, !each.archived)"
          >
            <component :is="each.archived ? ArchiveRestore : Archive" class="size-4" aria-hidden="true" />
          </button>
          <IconButton :icon="Trash2" :says="`Delete ${each.name}`" @click="remove(each.id, each.name)" />
        </div>
      </li>
    </ul>
    <SetAsideList />
    <section class="mt-6 flex flex-wrap items-center justify-between gap-3 border-t border-line pt-4">
      <p class="min-w-64 flex-1 text-ink-soft" data-testid="last-file">{{ kept.lastFile }}</p>
      <div class="flex flex-wrap gap-2">
        <button type="button" class="button" data-testid="show-days" @click="daysShown = true">
          <CalendarClock class="size-4.5" aria-hidden="true" />Earlier days
        </button>
        <button type="button" class="button" @click="files.choose()">
          <FolderOpen class="size-4.5" aria-hidden="true" />Open a file
        </button>
        <button type="button" class="button" data-testid="save-studio" @click="studioFiles.save()">
          <Save class="size-4.5" aria-hidden="true" />Save the whole studio
        </button>
      </div>
    </section>
    <EarlierDays v-if="daysShown" @close="daysShown = false" />
  </div>
</template>
