<script setup lang="ts">
import { ArrowDown, ArrowUp, ChevronDown, Trash2 } from '@lucide/vue'
import { computed, ref } from 'vue'
import { portionsOf, spacerSchema, tierSchema, type StandingTier, type Tier } from '#core/cake'
import { COVERINGS, coveringOf, glueOf } from '#core/material'
import type { Plan } from '#core/plan'
import { printDuration, printQuantity } from '#core/quantity'
import QuantityField from '~/components/ui/QuantityField.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePreferences } from '~/stores/preferences'
import ShapeFields from './ShapeFields.vue'
import IconButton from '~/components/ui/IconButton.vue'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf, namedChoices } from '~/components/ui/choice'
import SwitchField from '~/components/ui/SwitchField.vue'

const props = defineProps<{
  tier: Tier
  standing: StandingTier
  facts: Plan['cake']['tiers'][number]
  name: string
  isTop: boolean
  isBottom: boolean
  /** Others stand beside it on the board, or it may begin to. */
  mayStandLoose: boolean
}>()
const emit = defineEmits<{ change: [label: string, change: (tier: Tier) => void]; move: [by: 1 | -1]; remove: [] }>()

const preferences = usePreferences()
const isOpen = ref(false)
const length = (mm: number): string => printQuantity(mm, 'length', preferences.units)
const portions = computed(() => portionsOf(props.standing))
const covering = computed(() => coveringOf(props.tier.covering))
const ledge = computed(() => {
  const { leastMm, mostMm } = props.standing.ledge
  return mostMm - leastMm < 1.5 ? length(leastMm) : `${length(leastMm)} to ${length(mostMm)}`
})
const SPACER = { heightMm: 30, acrossMm: 100 }
const moreFields = ['taperDeg', 'turnDeg'] as const
const offsets = ['rightMm', 'backMm'] as const
const odd = computed(() =>
  [
    props.tier.taperDeg !== 0 && 'leaning',
    props.tier.turnDeg !== 0 && 'turned',
    (props.tier.offset.rightMm !== 0 || props.tier.offset.backMm !== 0) && 'off the middle',
    props.tier.spacer && 'on a spacer',
    props.tier.chilled && 'chilled',
    props.tier.builtOfTwo && 'built of two',
  ]
    .filter(Boolean)
    .join(', '),
)
const INSIDES = choicesOf(['cake', 'dummy'] as const, (each) => each)
const STANDS = choicesOf(['stacked', 'loose'] as const, (each) =>
  each === 'stacked' ? 'on the tier below' : 'loose, on the board',
)
</script>

<template>
  <div class="rounded-2xl bg-paper-deep/70 px-4 py-3">
    <div class="flex flex-wrap items-center gap-x-4">
      <span class="font-display text-lg font-semibold">{{ name }}</span>
      <button
        type="button"
        class="flex items-center gap-1 text-[0.88rem] font-semibold"
        :aria-expanded="isOpen"
        @click="isOpen = !isOpen"
      >
        <ChevronDown class="size-4 transition-transform" :class="isOpen ? 'rotate-180' : ''" aria-hidden="true" /><span
          >Lean, turn, spacer<span v-if="odd && !isOpen" class="font-normal text-ink-soft">: {{ odd }}</span></span
        >
      </button>
      <div class="ml-auto flex gap-1">
        <IconButton :icon="ArrowUp" :disabled="isTop" says="Move this tier up" @click="emit('move', 1)" />
        <IconButton :icon="ArrowDown" :disabled="isBottom" says="Move this tier down" @click="emit('move', -1)" />
        <IconButton :icon="Trash2" :disabled="isTop && isBottom" says="Remove this tier" @click="emit('remove')" />
      </div>
    </div>
    <div class="flex flex-wrap items-end gap-x-3.5 gap-y-2">
      <ShapeFields
        :shape="tier.shape"
        :tier-id="tier.id"
        @update:shape="
          (shape) =>
            emit('change', 'shape', (each) => {
              each.shape = shape
            })
        "
      />
      <QuantityField
        class="w-20"
        :schema="tierSchema.shape.heightMm"
        :model-value="tier.heightMm"
        @update:model-value="
          (value) =>
            emit('change', 'tier height', (each) => {
              each.heightMm = value
            })
        "
      />
      <ChoiceField
        class="w-38"
        label="Covered with"
        data-testid="covered-with"
        :choices="namedChoices(COVERINGS)"
        :model-value="tier.covering"
        @update:model-value="
          emit('change', 'covering', (each) => {
            each.covering = $event
          })
        "
      />
      <ChoiceField
        class="w-24"
        label="Inside"
        data-testid="tier-inside"
        :choices="INSIDES"
        :model-value="tier.inside"
        @update:model-value="
          emit('change', 'inside', (each) => {
            each.inside = $event
          })
        "
      />
      <ChoiceField
        v-if="mayStandLoose && (isOpen || tier.stands === 'loose')"
        class="w-44"
        label="Stands"
        data-testid="tier-stands"
        :choices="STANDS"
        :model-value="tier.stands"
        @update:model-value="
          emit('change', 'stands', (each) => {
            each.stands = $event
          })
        "
      />
      <label class="block text-[0.8rem] text-ink-soft"
        >Colour
        <input
          type="color"
          class="mt-1 block h-9 w-12 rounded-lg border-0 bg-transparent p-0"
          :value="tier.colour ?? covering.colour"
          @change="
            emit('change', 'tier colour', (each) => {
              each.colour = ($event.target as HTMLInputElement).value
            })
          "
        />
      </label>
    </div>
    <p class="mt-2 text-[0.88rem] text-ink-soft">
      <FigureLink :working="facts.surfaces.foot" /> round, side <FigureLink :working="facts.surfaces.side" />, top
      <FigureLink :working="facts.surfaces.top" /><template v-if="standing.carries"
        >, ledge {{ ledge }} (a foot finds {{ length(standing.ledge.lipMm) }})</template
      ><template v-if="!standing.isDummy">, about <FigureLink :working="portions" after=" portions" /></template>.
      <template v-if="facts.covering">
        About <FigureLink :working="facts.covering.coat" /> ± {{ Math.round(facts.covering.spreadShare * 100) }} %
        {{ covering.name.toLowerCase()
        }}<template v-if="facts.covering.crumbCoat"
          >, crumb coat <FigureLink :working="facts.covering.crumbCoat" /></template
        ><template v-if="facts.covering.lobes"
          >, of it <FigureLink :working="facts.covering.lobes" /> build up the lobes</template
        >.</template
      >
      <template v-for="support in facts.supports" :key="String(support.half)"
        >{{ ' ' }}{{ support.half ? 'In its lower half' : 'Under the tier above' }}
        <FigureLink :working="support.count" /> dowels of {{ length(support.length.value) }}.</template
      >
      Paper: {{ covering.readyWhen
      }}<template v-if="covering.readyMin > 0"> (about {{ printDuration(covering.readyMin) }})</template>; fix with
      {{ covering.glues.map((id) => glueOf(id).name).join(', or ') }}.
    </p>
    <div v-if="isOpen" class="mt-2 flex flex-wrap items-end gap-x-5 gap-y-3">
      <QuantityField
        v-for="key in moreFields"
        :key="key"
        class="w-28"
        :schema="tierSchema.shape[key]"
        hide-help
        :model-value="tier[key]"
        @update:model-value="
          (value) =>
            emit('change', key, (each) => {
              each[key] = value
            })
        "
      />
      <QuantityField
        v-for="key in offsets"
        :key="key"
        class="w-28"
        :schema="tierSchema.shape.offset.shape[key]"
        hide-help
        :model-value="tier.offset[key]"
        @update:model-value="
          (value) =>
            emit('change', 'offset', (each) => {
              each.offset[key] = value
            })
        "
      />
      <template v-if="tier.spacer">
        <QuantityField
          v-for="key in ['heightMm', 'acrossMm'] as const"
          :key="key"
          class="w-28"
          :schema="spacerSchema.shape[key]"
          :model-value="tier.spacer[key]"
          @update:model-value="
            (value) =>
              emit('change', 'spacer', (each) => {
                if (each.spacer) each.spacer[key] = value
              })
          "
        />
      </template>
      <div class="grid w-full grid-cols-2 gap-x-6 gap-y-1.5 text-[0.92rem] md:grid-cols-3">
        <SwitchField
          :model-value="tier.spacer !== null"
          @update:model-value="
            emit('change', 'spacer', (each) => {
              each.spacer = each.spacer ? null : { ...SPACER }
            })
          "
          >Stands on a spacer</SwitchField
        >
        <SwitchField
          :model-value="tier.chilled"
          :disabled="tier.inside === 'dummy'"
          @update:model-value="
            emit('change', 'filling', (each) => {
              each.chilled = !each.chilled
            })
          "
          >Filling must stay chilled</SwitchField
        >
        <SwitchField
          :model-value="tier.builtOfTwo"
          @update:model-value="
            emit('change', 'built of two', (each) => {
              each.builtOfTwo = !each.builtOfTwo
            })
          "
          >Built of two, card between</SwitchField
        >
      </div>
    </div>
  </div>
</template>
