<script setup lang="ts">
import { MOST_ACCENTS } from '#core/commission'
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Plus, Shuffle, X } from '@lucide/vue'
import { computed } from 'vue'
import { ACCENTS, accentSchema, startingAccent, type AccentId, type FollowingAccent } from '#core/accent'
import QuantitySlider from '~/components/ui/QuantitySlider.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import ColourChoice from '~/components/ui/ColourChoice.vue'
import IconButton from '~/components/ui/IconButton.vue'
import SwitchField from '~/components/ui/SwitchField.vue'

/** Pearls and the like that go with a decoration: `follows` is its id. */
const props = defineProps<{ follows: string }>()

const { plan, option, editOption } = usePlanned()
const NEXT_SEED = 37
const SEEDS = 1_000_000

const here = computed(() =>
  option.value.accents
    .filter(({ follows }) => follows === props.follows)
    .map((accent) => ({ accent, planned: plan.value.accents.find(({ id }) => id === accent.id) ?? null })),
)
const sliders = ['sizeMm', 'perElement', 'thinning'] as const

const edit = (id: string, label: string, change: (accent: FollowingAccent) => void, merge = ''): void =>
  editOption(
    label,
    ({ accents }) => {
      const each = accents.find((one) => one.id === id)
      if (each) change(each)
    },
    merge && `${id} ${merge}`,
  )
const add = (kind: AccentId): void =>
  editOption('add accents', ({ accents }) => {
    accents.push(startingAccent(crypto.randomUUID(), kind, props.follows))
  })
const remove = (id: string): void =>
  editOption('remove accents', (each) => {
    each.accents = each.accents.filter((accent) => accent.id !== id)
  })
</script>

<template>
  <section data-testid="accents">
    <h2 class="part-title mb-1">With it</h2>
    <div v-for="{ accent, planned } in here" :key="accent.id" class="mb-3 grid gap-1">
      <p class="flex items-center gap-2 text-[0.94rem]">
        <span v-if="planned"><FigureLink :working="planned.count" :after="` ${planned.many}`" /></span>
        <SwitchField
          class="ml-auto"
          :model-value="accent.edible"
          @update:model-value="
            edit(accent.id, 'eaten or for show', (each) => {
              each.edible = $event
            })
          "
          >eaten</SwitchField
        >
        <IconButton
          v-if="accent.accent !== 'topper'"
          :icon="Shuffle"
          :says="`Shuffle the ${planned?.many ?? 'accents'}`"
          @click="
            edit(accent.id, 'shuffle', (each) => {
              each.seed = (each.seed + NEXT_SEED) % SEEDS
            })
          "
        />
        <IconButton :icon="X" :says="`Remove the ${planned?.many ?? 'accents'}`" @click="remove(accent.id)" />
      </p>
      <ColourChoice
        label="Colour"
        :model-value="accent.colour"
        @update:model-value="
          edit(accent.id, 'accent colour', (each) => {
            each.colour = $event
          })
        "
      />
      <div class="grid grid-cols-3 gap-4">
        <QuantitySlider
          v-for="key in accent.accent === 'topper' ? sliders.slice(0, 1) : sliders"
          :key="key"
          :schema="accentSchema.shape[key]"
          :model-value="accent[key]"
          @update:model-value="
            edit(
              accent.id,
              'accents',
              (each) => {
                each[key] = $event
              },
              key,
            )
          "
        />
      </div>
      <p v-if="planned" class="text-[0.86rem] text-look-ink">
        {{ accent.edible ? planned.caution : 'For show only: on the removal list.' }}
      </p>
    </div>
    <Menu v-if="option.accents.length < MOST_ACCENTS" as="div" class="relative">
      <MenuButton class="button min-h-9 gap-1! px-2.5 text-[0.88rem]" data-testid="add-accent"
        ><Plus class="size-4" aria-hidden="true" />Pearls, leaf, crystals…</MenuButton
      >
      <MenuItems class="sheet bg-paper! absolute bottom-full left-0 z-30 mb-2 w-60 rounded-2xl p-2">
        <MenuItem v-for="kind in ACCENTS" :key="kind.id" v-slot="{ active }"
          ><button
            type="button"
            class="block w-full rounded-lg px-3 py-1.5 text-left"
            :class="active ? 'bg-go-soft' : ''"
            @click="add(kind.id)"
          >
            {{ kind.name }}
          </button></MenuItem
        >
      </MenuItems>
    </Menu>
  </section>
</template>
