<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'
import { CalendarClock, FolderOpen, Plus, Save } from '@lucide/vue'
import { computed, defineAsyncComponent, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from '#imports'
import { useFiles } from '~/files/files'
import { useStudioFiles } from '~/files/studioFiles'
import { useKnownInView } from '~/components/shelf/knownInView'
import { onShelf } from '~/components/shelf/onShelf'
import SetAsideList from '~/components/shelf/SetAsideList.vue'
import ShelfEntry from '~/components/shelf/ShelfEntry.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import { useShelf } from '~/stores/shelf'
import { useStudio } from '~/stores/studio'

/** From so many on a shelf is searched. */
const SEARCHED_FROM = 12
/** So many are laid out at once; more follow as one comes to the end. */
const LAID_OUT = 30

const studio = useStudio()
const kept = useShelf()
const router = useRouter()
const showArchived = ref(false)
const sought = ref('')
const files = useFiles()
const studioFiles = useStudioFiles()
const EarlierDays = defineAsyncComponent(() => import('~/components/shelf/EarlierDays.vue'))
const daysShown = ref(false)
const removed = ref<{ readonly id: string; readonly name: string } | null>(null)

const { known, setInView, learnAgain } = useKnownInView(async (id) => {
  const commission = await studio.peek(id)
  // One that cannot be worked out still stands on the shelf, without its figures.
  const plan = commission && (await studio.planOf(commission).catch(() => null))
  return plan && { commission, plan }
})
watch(() => studio.listed, learnAgain)

const shelf = computed(() =>
  onShelf(studio.listed, { archived: showArchived.value, sought: sought.value, now: studio.now }),
)
const archivedCount = computed(() => studio.listed.filter(({ archived }) => archived).length)

const laidOut = ref(LAID_OUT)
watch([showArchived, sought], () => {
  laidOut.value = LAID_OUT
})
const end = useTemplateRef('end')
useIntersectionObserver(
  end,
  ([change]) => {
    if (change!.isIntersecting) laidOut.value += LAID_OUT
  },
  { rootMargin: '600px' },
)

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
    <label v-if="studio.listed.length >= SEARCHED_FROM" class="mb-3 block max-w-80 text-[0.8rem] text-ink-soft"
      >Find<input v-model="sought" type="search" class="field-input text-ink" maxlength="80" data-testid="find"
    /></label>
    <p v-if="shelf.length === 0" class="text-ink-soft">
      {{ sought.trim() ? 'None is called so.' : 'Nothing here.' }}
    </p>
    <ul class="grid gap-3" data-testid="shelf">
      <ShelfEntry
        v-for="each in shelf.slice(0, laidOut)"
        :key="each.id"
        :name="each.name"
        :event="each.event"
        :now="studio.now"
        :archived="each.archived"
        :is-open="each.id === studio.commission?.id"
        :known="known.get(each.id) ?? null"
        @open="open(each.id)"
        @copy="kept.copy(each.id)"
        @archive="kept.archive(each.id, !each.archived)"
        @remove="remove(each.id, each.name)"
        @in-view="(is) => setInView(each.id, is)"
      />
    </ul>
    <p v-if="shelf.length > laidOut" ref="end" class="mt-3 text-ink-soft">{{ shelf.length - laidOut }} more below.</p>
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
