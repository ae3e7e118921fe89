<script setup lang="ts">
import { chosenOption } from '#core/commission'
import { until } from '@vueuse/core'
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue'
import { NuxtPage } from '#components'
import { preloadRouteComponents, useHead, useRoute, useRouter } from '#imports'
import { useArranging } from '~/components/arrange/arranging'
import { useChosenDecoration } from '~/components/arrange/chosen'
import { LEAF_TABS } from '~/components/leaves'
import LeafTabs from '~/components/LeafTabs.vue'
import StudioHeader from '~/components/StudioHeader.vue'
import StudioNotices from '~/components/StudioNotices.vue'
import TallyBar from '~/components/tally/TallyBar.vue'
import { useStandTools } from '~/components/stand/standTools'
import { afterFigures, afterPaint, whenIdle } from '~/composables/afterFigures'
import { keepDrafts } from '~/composables/draft'
import { useStudioKeys } from '~/composables/studioKeys'
import FileDialogs from '~/files/FileDialogs.vue'
import { usePreferences } from '~/stores/preferences'
import { useStudio } from '~/stores/studio'

const CakeStand = afterFigures(() => import('~/components/stand/CakeStand.vue'))
const WorkingPanel = afterFigures(() => import('~/components/working/WorkingPanel.vue'))
const KeysDialog = defineAsyncComponent(() => import('~/components/KeysDialog.vue'))
/** Read when it is asked for: it brings its pictures. */
const GuideDialog = defineAsyncComponent(() => import('~/components/guide/GuideDialog.vue'))
const studio = useStudio()
const preferences = usePreferences()
const route = useRoute()
const decorations = useChosenDecoration(() => chosenOption(studio.commission!))
const arranging = useArranging()
const router = useRouter()
const keysShown = ref(false)
const { isLarge } = useStandTools()

/** Leaves on which a phone still shows the stand; at the bench the leaf needs the room. */
const STAND_ON_PHONE = ['/brief', '/tiers', '/arrange']
const showsOnPhone = computed(() => STAND_ON_PHONE.includes(route.path))
/** Leaves that are used standing, where a phone has no room for a hint. */
const AT_THE_BENCH = ['/make', '/deliver']

useHead({
  title: () => (studio.commission ? `${studio.commission.brief.name} · Lamellon` : 'Lamellon'),
  htmlAttrs: { 'data-theme': () => preferences.theme },
})
const guideShown = ref(false)
const showKeys = (): void => {
  guideShown.value = false
  keysShown.value = true
}
const showGuide = (): void => {
  guideShown.value = true
}
useStudioKeys({ guide: showGuide, keys: showKeys })
keepDrafts(studio.layAside)
/** The demo has an address of its own. */
onMounted(async () => {
  const toDemo = asked.value === '/demo'
  if (toDemo) preferences.studio = 'demo'
  await studio.begin()
  if (toDemo) await router.replace('/arrange')
  await until(() => studio.plan).not.toBeNull()
  await afterPaint()
  // Layouts that were found before are taken up, wherever the page is opened.
  const { useNesting } = await import('~/stores/nesting')
  useNesting()
  await readLeaves()
})

/** Reads the leaves one by one while the page rests, so that the first turn to one is as quick as the next. */
async function readLeaves(): Promise<void> {
  for (const { leaf } of LEAF_TABS) {
    await whenIdle()
    // Who edits is not held up.
    await until(() => studio.isPlanning).toBe(false)
    // What cannot be read now is asked for again as it is turned to.
    await preloadRouteComponents(`/${leaf}`).catch(() => undefined)
  }
}

/** Pages that are there before there is a commission. */
const WITHOUT_COMMISSION = ['/new', '/shelf', '/stand-ins']
/** The route that is asked for: the one that is shown follows once its page is there. */
const asked = computed(() => router.currentRoute.value.path)
const needsNone = computed(() => studio.isOpen && WITHOUT_COMMISSION.includes(asked.value))
/** An empty studio begins with a new commission; the demo opens where it is laid out. */
watch(
  () => [studio.isEmpty, preferences.studio] as const,
  ([isEmpty], [, before]) => {
    if (isEmpty) void router.replace('/new')
    else if (before !== preferences.studio && asked.value === '/new') void router.replace('/arrange')
  },
)

/** Every leaf is read from its beginning. */
watch(
  () => route.path,
  () => document.querySelector('main')?.scrollTo({ top: 0 }),
)

watch(
  () => studio.plan?.tally,
  () => {
    document.documentElement.dataset.planned = 'yes'
  },
)

/** Opens on the leaf what was touched on the stand. */
function touched(kind: 'tier' | 'element' | 'accent', index: number): void {
  const { plan } = studio
  if (!plan) return
  if (kind === 'element') {
    let before = 0
    const found = plan.decorations.find(({ elements }) => {
      before += elements.length
      return index < before
    })
    if (found) {
      decorations.choose(found.id)
      arranging.pick(found.elements[index - (before - found.elements.length)]!.index)
    }
  }
  isLarge.value = false
  void router.push(kind === 'tier' ? '/tiers' : '/arrange')
}
</script>

<template>
  <div
    class="grid h-full grid-rows-[auto_1fr_auto] print:block print:h-auto"
    :class="studio.commission ? 'lg:grid-cols-[minmax(22rem,33%)_1fr] lg:grid-rows-[1fr_auto]' : ''"
  >
    <aside
      class="no-print flex min-h-0 flex-col"
      :class="isLarge ? 'row-span-2 lg:col-span-2 lg:row-span-1' : showsOnPhone ? 'max-lg:h-[44vh]' : ''"
      aria-label="The cake"
    >
      <StudioHeader @keys="showKeys" @guide="showGuide" />
      <p
        v-if="studio.isDemo"
        class="mx-6 flex flex-wrap items-center gap-x-3 rounded-xl bg-look-soft px-3.5 py-1.5 text-[0.88rem]"
        :class="AT_THE_BENCH.includes(route.path) ? 'max-lg:hidden' : ''"
      >
        This is the demo; change anything.
        <button type="button" class="figure-link" data-testid="start-own" @click="studio.enter('own')">
          To your own studio
        </button>
      </p>
      <div v-if="studio.commission" class="min-h-0 flex-1 px-4" :class="isLarge || showsOnPhone ? '' : 'max-lg:hidden'">
        <CakeStand :arranging="route.path === '/arrange'" :is-neutral="route.path === '/tint'" @touch="touched" />
      </div>
    </aside>
    <div
      v-show="!isLarge"
      class="flex min-h-0 min-w-0 flex-col lg:pr-4 print:block"
      :class="studio.commission ? '' : 'lg:pl-4'"
    >
      <LeafTabs v-if="studio.commission" class="no-print" />
      <main
        :class="[
          'leaf sheet relative min-h-0 flex-1 overflow-y-auto rounded-2xl',
          'print:overflow-visible print:p-0 print:shadow-none rounded-tl-none px-5 py-5 sm:px-7 lg:mb-3',
        ]"
        tabindex="-1"
      >
        <StudioNotices />
        <NuxtPage
          v-if="(studio.plan && studio.commission) || needsNone"
          :key="`${asked} ${preferences.studio} ${studio.commission?.id ?? ''}`"
        />
        <p v-else-if="!studio.trouble" class="text-ink-soft" role="status">Opening the studio…</p>
      </main>
    </div>
    <TallyBar v-if="studio.commission" class="no-print lg:col-span-2" />
    <WorkingPanel />
    <FileDialogs />
    <KeysDialog v-if="keysShown" @close="keysShown = false" />
    <GuideDialog v-if="guideShown" @close="guideShown = false" @keys="showKeys" />
  </div>
</template>
