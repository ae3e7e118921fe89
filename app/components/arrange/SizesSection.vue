<script setup lang="ts">
import { Plus, X } from '@lucide/vue'
import { computed } from 'vue'
import { z } from 'zod'
import { decorationFields, type Decoration } from '#core/commission'
import IconButton from '~/components/ui/IconButton.vue'
import QuantityField from '~/components/ui/QuantityField.vue'

/** Which sizes a decoration is made in and how many of each, told one by one; none told, its place decides. */
const props = defineProps<{ decoration: Decoration; seenMm: number | null }>()
const emit = defineEmits<{ set: [sizes: Decoration['sizes']] }>()

type Told = Decoration['sizes'][number]
const { share, many } = decorationFields.sizes.element.shape
const MOST = 6
const SMALLER = 0.75
const LEAST_SHARE = 0.2

/** The size as it is measured, where one measure tells it; else as a share of the biggest. */
const measured = computed(() =>
  props.seenMm === null
    ? share
    : z
        .number()
        .min(Math.ceil(props.seenMm * LEAST_SHARE))
        .max(props.seenMm)
        .meta({ label: 'Size', kind: 'length' }),
)
const shown = ({ share: own }: Told): number => (props.seenMm === null ? own : own * props.seenMm)
const asShare = (value: number): number => (props.seenMm === null ? value : value / props.seenMm)

const change = (at: number, next: Partial<Told>): void =>
  emit(
    'set',
    props.decoration.sizes.map((each, index) => (index === at ? { ...each, ...next } : each)),
  )
const add = (): void => {
  const last = props.decoration.sizes.at(-1)
  const next = last ? { share: Math.max(LEAST_SHARE, last.share * SMALLER), many: last.many } : { share: 1, many: 1 }
  emit('set', [...props.decoration.sizes, next])
}
const remove = (at: number): void =>
  emit(
    'set',
    props.decoration.sizes.filter((_, index) => index !== at),
  )
</script>

<template>
  <fieldset class="grid gap-1" data-testid="sizes">
    <legend class="text-[0.88rem] text-ink-soft">Which sizes</legend>
    <div
      v-for="(size, at) in decoration.sizes"
      :key="at"
      class="grid grid-cols-[3rem_0.6rem_1fr_2.2rem] items-center gap-1"
    >
      <QuantityField
        :schema="many"
        label="How many of this size"
        :model-value="size.many"
        hide-label
        hide-help
        :data-testid="`sizes-many-${at}`"
        @update:model-value="change(at, { many: $event })"
      />
      <span aria-hidden="true">×</span>
      <QuantityField
        :schema="measured"
        label="Size"
        :model-value="shown(size)"
        hide-label
        hide-help
        :data-testid="`sizes-share-${at}`"
        @update:model-value="change(at, { share: asShare($event) })"
      />
      <IconButton :icon="X" says="Not this size" @click="remove(at)" />
    </div>
    <button
      v-if="decoration.sizes.length < MOST"
      type="button"
      class="button min-h-9 w-fit gap-1! px-2.5 text-[0.84rem]"
      data-testid="sizes-add"
      @click="add"
    >
      <Plus class="size-4" aria-hidden="true" />{{
        decoration.sizes.length === 0 ? 'Say how many of each size' : 'Another size'
      }}
    </button>
  </fieldset>
</template>
