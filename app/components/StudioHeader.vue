<script setup lang="ts">
import { useRouter } from '#imports'
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ChevronDown, Redo2, Undo2 } from '@lucide/vue'
import { computed } from 'vue'
import { dateClockText, parseMoment, printDuration } from '#core/quantity'
import { useFiles } from '~/files/files'
import { useStudioFiles } from '~/files/studioFiles'
import { usePreferences } from '~/stores/preferences'
import { useStudio } from '~/stores/studio'
import IconButton from '~/components/ui/IconButton.vue'

const emit = defineEmits<{ keys: []; guide: [] }>()

const studio = useStudio()
const preferences = usePreferences()
const files = useFiles()
const studioFiles = useStudioFiles()
const router = useRouter()

const when = computed(() => {
  const event = studio.commission ? parseMoment(studio.commission.brief.eventAt) : null
  if (!event?.ok) return ''
  const left = event.value - studio.now
  const days = Math.round(left / 1440)
  const soon =
    left < 0 ? 'past' : left < 1440 ? `in ${printDuration(left)}` : days === 1 ? 'in 1 day' : `in ${days} days`
  return `${dateClockText(event.value)}, ${soon}`
})

const item = (active: boolean): string =>
  `flex w-full items-center justify-between gap-4 rounded-lg px-3 py-2 text-left ${active ? 'bg-go-soft' : ''}`
</script>

<template>
  <header class="flex items-start justify-between gap-2 px-6 pt-5 pb-2">
    <div class="min-w-0">
      <Menu as="div" class="relative">
        <MenuButton class="flex max-w-full items-center gap-1.5 text-left" data-testid="studio-menu">
          <span class="font-display truncate text-[1.5rem] leading-tight font-semibold">{{
            studio.commission?.brief.name ?? 'Lamellon'
          }}</span>
          <ChevronDown class="size-5 shrink-0 text-ink-soft" aria-hidden="true" /><span class="sr-only"
            >, studio menu</span
          >
        </MenuButton>
        <MenuItems class="sheet absolute left-0 z-30 mt-2 w-72 rounded-2xl p-2">
          <MenuItem
            v-for="each in studio.listed.filter(({ archived }) => !archived).slice(0, 6)"
            :key="each.id"
            v-slot="{ active }"
          >
            <button type="button" :class="item(active)" @click="studio.open(each.id)">
              <span class="truncate" :class="each.id === studio.commission?.id ? 'font-semibold' : ''">{{
                each.name
              }}</span>
              <span class="shrink-0 text-[0.8rem] text-ink-soft">{{ each.eventAt.slice(0, 10) }}</span>
            </button>
          </MenuItem>
          <div class="my-1 border-t border-line" />
          <MenuItem v-slot="{ active }"
            ><button type="button" :class="item(active)" @click="router.push('/shelf')">
              The shelf, all commissions<span class="text-ink-soft">h</span>
            </button></MenuItem
          >
          <MenuItem v-slot="{ active }"
            ><button type="button" :class="item(active)" @click="router.push('/new')">New commission</button></MenuItem
          >
          <MenuItem v-slot="{ active }"
            ><button type="button" :class="item(active)" @click="files.choose()">Open a file…</button></MenuItem
          >
          <MenuItem v-slot="{ active }"
            ><button type="button" :class="item(active)" @click="files.saveCommission()">
              Save to a file
            </button></MenuItem
          >
          <MenuItem v-slot="{ active }"
            ><button type="button" :class="item(active)" @click="studioFiles.save()">
              Save the whole studio…
            </button></MenuItem
          >
          <MenuItem v-slot="{ active }"
            ><button type="button" :class="item(active)" @click="studio.enter(studio.isDemo ? 'own' : 'demo')">
              {{ studio.isDemo ? 'To your own studio' : 'Open the demo' }}
            </button></MenuItem
          >
          <MenuItem v-if="studio.isDemo" v-slot="{ active }"
            ><button type="button" :class="item(active)" @click="studio.putDemoAway()">
              Put the demo away
            </button></MenuItem
          >
          <MenuItem v-if="studio.commission" v-slot="{ active }"
            ><button type="button" :class="item(active)" @click="files.askRemove()">
              Remove this commission…
            </button></MenuItem
          >
          <div class="my-1 border-t border-line" />
          <MenuItem v-slot="{ active }">
            <button
              type="button"
              :class="item(active)"
              @click="preferences.units = preferences.units === 'metric' ? 'imperial' : 'metric'"
            >
              Units<span class="text-ink-soft">{{
                preferences.units === 'metric' ? 'mm, °C, ml' : 'in, °F, fl oz'
              }}</span>
            </button>
          </MenuItem>
          <MenuItem v-slot="{ active }">
            <button
              type="button"
              :class="item(active)"
              @click="preferences.theme = preferences.theme === 'light' ? 'dark' : 'light'"
            >
              Room<span class="text-ink-soft">{{ preferences.theme === 'light' ? 'daylight' : 'dark' }}</span>
            </button>
          </MenuItem>
          <MenuItem v-slot="{ active }"
            ><button type="button" :class="item(active)" @click="router.push('/stand-ins')">
              Sensor and forecast stand-ins
            </button></MenuItem
          >
          <MenuItem v-slot="{ active }"
            ><button type="button" :class="item(active)" @click="emit('keys')">
              Keys<span class="text-ink-soft">k</span>
            </button></MenuItem
          >
          <MenuItem v-slot="{ active }"
            ><button type="button" :class="item(active)" data-testid="open-guide" @click="emit('guide')">
              Guide<span class="text-ink-soft">?</span>
            </button></MenuItem
          >
        </MenuItems>
      </Menu>
      <p class="truncate text-[0.9rem] text-ink-soft">{{ when }}</p>
    </div>
    <div class="no-print flex shrink-0 gap-1">
      <IconButton
        :icon="Undo2"
        :disabled="!studio.canUndo"
        :class="studio.canUndo ? '' : 'opacity-40'"
        :says="studio.canUndo ? `Undo: ${studio.undoLabel}` : 'Nothing to undo'"
        data-testid="undo"
        @click="studio.undo()"
      />
      <IconButton
        :icon="Redo2"
        :disabled="!studio.canRedo"
        :class="studio.canRedo ? '' : 'opacity-40'"
        :says="studio.canRedo ? `Redo: ${studio.redoLabel}` : 'Nothing to redo'"
        data-testid="redo"
        @click="studio.redo()"
      />
    </div>
  </header>
</template>
