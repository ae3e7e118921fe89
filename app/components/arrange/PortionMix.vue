<script setup lang="ts">
import { computed } from 'vue'
import { circle, flipMove, sector } from '#core/geometry'
import { pathData } from '#core/format/svg'
import { PORTIONS, soakedSail, type Portion } from '#core/technique'
import QuantitySlider from '~/components/ui/QuantitySlider.vue'
import { useLit } from '~/components/stand/lit'
import { usePlanned } from '~/composables/planned'

const { plan, decoration, editDecoration } = usePlanned()
const lit = useLit()

const outlines: Readonly<Record<Portion, string>> = {
  whole: pathData(flipMove(circle({ x: 40, y: 40 }, 38), 0, 80)),
  half: pathData(flipMove(sector({ x: 40, y: 20 }, 38, 0, 180), 0, 80)),
  quarter: pathData(flipMove(sector({ x: 40, y: 20 }, 42, 45, 90), 0, 80)),
}

const shown = computed(() =>
  PORTIONS.map((portion) => {
    const sails = plan.value.arrangement.sails.filter(({ sized }) => sized.portion === portion)
    const shades = sails.map(({ shade }) => shade)
    const discs = [...new Set(sails.map(({ sized }) => sized.discMm))].sort((one, other) => other - one)
    return {
      portion,
      indexes: sails.map(({ place }) => place.index),
      count: sails.length,
      discs,
      colour: plan.value.bath?.steps[shades[Math.floor(shades.length / 2)] ?? 0]?.predictedHex ?? '#efece2',
    }
  }),
)

function setShare(portion: Portion, share: number): void {
  editDecoration(
    'mix of discs',
    ({ sail }) => {
      const others = PORTIONS.filter((each) => each !== portion)
      if (share > 0 || others.some((each) => sail[each] > 0)) sail[portion] = share
    },
    `mix ${portion}`,
  )
}
</script>

<template>
  <ul v-if="decoration" class="grid grid-cols-3 gap-5">
    <li
      v-for="{ portion, count, discs, colour, indexes } in shown"
      :key="portion"
      @pointerenter="lit.hoverMany('sail', indexes)"
      @pointerleave="lit.leave()"
    >
      <div class="flex items-center gap-2">
        <svg viewBox="0 0 80 80" class="size-14 shrink-0" aria-hidden="true">
          <path
            :d="outlines[portion]"
            :fill="colour"
            fill-opacity="0.75"
            stroke="var(--ink)"
            stroke-opacity="0.5"
            stroke-width="1.2"
          />
        </svg>
        <p>
          <span class="font-display text-2xl font-semibold">{{ count }}</span> {{ portion
          }}<span class="block text-[0.8rem] text-ink-soft">{{
            discs.length > 0 ? `of ${discs.join(', ')}` : 'none'
          }}</span>
        </p>
      </div>
      <QuantitySlider
        :schema="soakedSail.parameters.shape[portion]"
        label="Share"
        :model-value="decoration.sail[portion]"
        @update:model-value="setShare(portion, $event)"
      />
    </li>
  </ul>
</template>
