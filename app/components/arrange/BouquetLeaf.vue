<script setup lang="ts">
import { gatheredIn, MOST_DECORATIONS, type Decoration } from '#core/commission'
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Plus, Shuffle, Trash2, X } from '@lucide/vue'
import { computed } from 'vue'
import {
  BOUQUET_ROLE_LABELS,
  BOUQUET_ROLES,
  bouquetSchema,
  placedAt,
  gatheredSchema,
  type Bouquet,
  type BouquetPlace,
  type BouquetRole,
} from '#core/compose'
import { TECHNIQUES, type TechniqueId, techniqueOf } from '#core/technique'
import CautionList from '~/components/ui/CautionList.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import QuantitySlider from '~/components/ui/QuantitySlider.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { vDraft } from '~/composables/draft'
import { usePlanned } from '~/composables/planned'
import { useChosenDecoration } from './chosen'
import TierChoice from './TierChoice.vue'
import TopView from './TopView.vue'
import ValueFields from './ValueFields.vue'
import WireSection from './WireSection.vue'
import IconButton from '~/components/ui/IconButton.vue'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf } from '~/components/ui/choice'

/** A bouquet: the room it fills, its recipe, and how many of each that takes. */
const props = defineProps<{ id: string }>()

const { plan, option, editOption, cautionsOn } = usePlanned()
const { choose } = useChosenDecoration(() => option.value)
const cautions = cautionsOn('arrange')
const NEXT_SEED = 37
const SEEDS = 1_000_000
/** What says nothing where the bouquet stands. */
const IDLE: Readonly<Record<BouquetPlace, readonly string[]>> = {
  ledge: ['upMm', 'toMm', 'reach'],
  crescent: ['upMm', 'toMm'],
  shoulder: ['upMm', 'toMm', 'reach'],
  side: ['toMm', 'reach'],
  top: ['upMm', 'toMm', 'spanDeg', 'movement'],
  garland: ['reach'],
}
const ROLE_OF: Readonly<Partial<Record<TechniqueId, BouquetRole>>> = {
  bud: 'bud',
  fillerSprig: 'filler',
  patchedLeaf: 'leaf',
  laminatedLeaf: 'leaf',
  freeLeafStem: 'leaf',
}

const bouquet = computed(() => option.value.bouquets.find(({ id }) => id === props.id) ?? null)
const planned = computed(() => plan.value.bouquets.find(({ id }) => id === props.id) ?? null)
const members = computed(() =>
  option.value.decorations
    .filter(({ gathered }) => gathered?.bouquet === props.id)
    .map((decoration) => {
      const made = plan.value.decorations.find(({ id }) => id === decoration.id) ?? null
      const { withoutPlace = 0 } = planned.value?.members.find((each) => each.decoration === decoration.id) ?? {}
      return { decoration, made, name: made?.name ?? techniqueOf(decoration.technique).name, withoutPlace }
    }),
)
const gatherable = computed(() => TECHNIQUES.filter(({ id }) => techniqueOf(id).gathers))

const edit = (label: string, change: (bouquet: Bouquet) => void, merge = ''): void =>
  editOption(
    label,
    ({ bouquets }) => {
      const each = bouquets.find(({ id }) => id === props.id)
      if (each) change(each)
    },
    merge && `${props.id} ${merge}`,
  )
const set = (key: string, value: number | string | boolean | null): void =>
  edit(
    `bouquet ${key}`,
    (each) => {
      if (key === 'place') Object.assign(each, placedAt(bouquet.value!, value as BouquetPlace, plan.value.stack))
      else (each as unknown as Record<string, unknown>)[key] = value
    },
    key,
  )
const editMember = (label: string, id: string, change: (decoration: Decoration) => void, merge = ''): void =>
  editOption(
    label,
    ({ decorations }) => {
      const each = decorations.find((one) => one.id === id)
      if (each) change(each)
    },
    merge && `${id} ${merge}`,
  )

function add(technique: TechniqueId): void {
  const id = crypto.randomUUID()
  editOption('one more into the bouquet', (each) => {
    each.decorations.unshift(gatheredIn(props.id, id, technique, ROLE_OF[technique] ?? 'secondary', 3, each.cake.tiers))
  })
}

/** Takes the bouquet off with all that is gathered in it. */
function remove(): void {
  editOption('remove a bouquet', (each) => {
    each.bouquets = each.bouquets.filter(({ id }) => id !== props.id)
    each.decorations = each.decorations.filter(({ gathered }) => gathered?.bouquet !== props.id)
  })
}
const ROLES = choicesOf(BOUQUET_ROLES, (role) => BOUQUET_ROLE_LABELS[role])
</script>

<template>
  <div v-if="bouquet" data-testid="bouquet">
    <div class="flex items-start justify-between gap-4">
      <LeafHeading :title="bouquet.name">
        <template v-if="planned"
          ><template v-for="({ decoration, called, count }, at) in planned.members" :key="decoration"
            >{{ at > 0 ? ', ' : '' }}<FigureLink :working="count" :after="` ${called}`"
          /></template>
          cover its face of <FigureLink :working="planned.face" />, give or take one in ten as hands fall.</template
        >
      </LeafHeading>
      <div class="flex gap-2">
        <button
          type="button"
          class="button"
          data-testid="shuffle"
          @click="
            edit('shuffle', (each) => {
              each.seed = (each.seed + NEXT_SEED) % SEEDS
            })
          "
        >
          <Shuffle class="size-4.5" aria-hidden="true" />Shuffle
        </button>
        <button type="button" class="button px-3" aria-label="Remove the bouquet" @click="remove">
          <Trash2 class="size-4.5" aria-hidden="true" />
        </button>
      </div>
    </div>
    <div class="grid gap-x-8 gap-y-5 lg:grid-cols-[1fr_13rem]">
      <div class="grid content-start gap-4">
        <TopView :decorations="members.map(({ decoration }) => decoration.id)" />
        <section>
          <h2 class="part-title mb-1">Recipe</h2>
          <ul class="grid gap-2" data-testid="recipe">
            <li
              v-for="{ decoration, made, name, withoutPlace } in members"
              :key="decoration.id"
              class="grid grid-cols-[auto_1fr_7rem_8.5rem_auto] items-center gap-3 border-b border-line py-1.5"
            >
              <span
                class="size-5 rounded-full shadow-inner"
                :style="{ background: decoration.colour.heart }"
                aria-hidden="true"
              />
              <span
                ><button type="button" class="figure-link font-semibold" @click="choose(decoration.id)">
                  {{ name }}</button
                ><span v-if="made" class="block text-[0.86rem] text-ink-soft"
                  ><FigureLink :working="made.count" :after="` ± ${made.spread}`" />,
                  {{ made.pieces.value }} pieces</span
                ><span v-if="withoutPlace > 0" class="block text-[0.86rem] text-look-ink"
                  >{{ withoutPlace }} more found no place: deeper, longer, or less full.</span
                ></span
              >
              <ChoiceField
                :label="`What the ${name.toLowerCase()} is for`"
                hide-label
                :choices="ROLES"
                :model-value="decoration.gathered!.role"
                @update:model-value="
                  editMember('its part in the bouquet', decoration.id, (each) => {
                    each.gathered!.role = $event
                  })
                "
              />
              <QuantitySlider
                :schema="gatheredSchema.shape.parts"
                :model-value="decoration.gathered!.parts"
                :data-testid="`parts-${decoration.technique}`"
                @update:model-value="
                  editMember(
                    'parts of the recipe',
                    decoration.id,
                    (each) => {
                      each.gathered!.parts = $event
                    },
                    'parts',
                  )
                "
              />
              <IconButton
                :icon="X"
                :says="`Take the ${name.toLowerCase()} out of the recipe`"
                @click="
                  editOption('out of the recipe', (each) => {
                    each.decorations = each.decorations.filter(({ id: one }) => one !== decoration.id)
                  })
                "
              />
            </li>
          </ul>
          <p v-if="members.length === 0" class="text-ink-soft">
            Nothing is gathered yet. Add a bloom for the heart, leaves and filler round it.
          </p>
          <Menu v-if="option.decorations.length < MOST_DECORATIONS" as="div" class="relative mt-2">
            <MenuButton class="button min-h-9 gap-1! px-2.5 text-[0.88rem]" data-testid="add-member"
              ><Plus class="size-4" aria-hidden="true" />Into the bouquet</MenuButton
            >
            <MenuItems
              class="sheet bg-paper! absolute top-full left-0 z-30 mt-2 max-h-[50vh] w-72 overflow-y-auto rounded-2xl p-2"
            >
              <MenuItem v-for="technique in gatherable" :key="technique.id" v-slot="{ active }"
                ><button
                  type="button"
                  class="block w-full rounded-lg px-3 py-1.5 text-left"
                  :class="active ? 'bg-go-soft' : ''"
                  @click="add(technique.id)"
                >
                  <b>{{ technique.name }}</b><span class="block text-[0.86rem] text-ink-soft">{{ technique.say }}</span>
                </button></MenuItem
              >
            </MenuItems>
          </Menu>
        </section>
        <WireSection />
      </div>
      <div class="grid content-start gap-1.5">
        <label class="block text-[0.8rem] text-ink-soft"
          >Called<input
            v-draft="bouquet.name"
            class="field-input text-ink"
            maxlength="40"
            @change="set('name', ($event.target as HTMLInputElement).value.trim() || bouquet.name)"
        /></label>
        <TierChoice :tier="bouquet.tier" @tier="set('tier', $event)" />
        <ValueFields
          :schema="bouquetSchema"
          :values="bouquet"
          :leave-out="IDLE[bouquet.place]"
          test-prefix="bouquet"
          @set="set"
        />
      </div>
    </div>
    <CautionList class="mt-4" :cautions="cautions" />
  </div>
</template>
