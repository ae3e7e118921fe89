<script setup lang="ts">
import { choosing } from '#core/commission'
import { cakeRoom, sceneOf } from '#core/plan'
import { Check } from '@lucide/vue'
import { computed } from 'vue'
import { useRouter } from '#imports'
import { compareRows } from '~/components/options/compareRows'
import { useOptionPlans } from '~/components/options/useOptionPlans'
import BoxGhost from '~/components/stand/BoxGhost.vue'
import CakeStill from '~/components/stand/CakeStill.vue'
import { roomForAll, wholeCake } from '~/components/stand/wholeCake'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'

const { studio, commission } = usePlanned()
const router = useRouter()
const planned = useOptionPlans()
const rows = computed(() => compareRows(planned.value))
const box = computed(() => commission.value.brief.box)

/** One window for all pictures, so that they stand at the same scale, and the box with them. */
const whole = computed(() => {
  const { outMm, upMm, belowMm } = roomForAll(
    planned.value.map(({ option, plan }) => cakeRoom(choosing(commission.value, option.id), plan)),
  )
  const { widthMm, heightMm } = box.value
  return wholeCake({ outMm: Math.max(outMm, widthMm / 2), upMm: Math.max(upMm, heightMm - belowMm), belowMm })
})
const PICTURE_PX = 300
const perPixel = computed(() => whole.value.window.height / PICTURE_PX)

function choose(id: string, name: string): void {
  studio.edit(`choose ${name}`, (draft) => {
    draft.commission.chosen = id
  })
  void router.push('/tiers')
}
</script>

<template>
  <div>
    <LeafHeading title="Options, side by side"
      >The same scale, the same box, the same workshop. What differs is marked.</LeafHeading
    >
    <p v-if="planned.length === 0" role="status" class="text-ink-soft">Working them out…</p>
    <div v-else class="overflow-x-auto">
      <table class="w-full border-separate border-spacing-x-3" data-testid="compare-table">
        <thead>
          <tr>
            <td class="w-36" />
            <th
              v-for="{ option, plan } in planned"
              :key="option.id"
              scope="col"
              class="min-w-52 align-bottom font-normal"
            >
              <CakeStill
                class="mx-auto max-h-64"
                v-bind="whole"
                :scene="sceneOf(option, plan)"
                :says="`${option.name}: ${option.cake.tiers.length} tiers`"
              >
                <svg
                  class="absolute inset-0 h-full w-full overflow-visible"
                  :viewBox="`${whole.window.left} ${whole.window.top} ${whole.window.width} ${whole.window.height}`"
                  aria-hidden="true"
                >
                  <BoxGhost
                    v-for="side in ['behind', 'before'] as const"
                    :key="side"
                    :box
                    :foot-mm="-option.cake.board.thicknessMm"
                    :look="whole.look"
                    :per-pixel
                    :fits="plan.fit.fits"
                    :side
                  />
                </svg>
              </CakeStill>
              <span class="font-display mt-1 block text-[1.25rem] font-semibold">{{ option.name }}</span>
              <span class="text-[0.9rem]" :class="plan.fit.fits ? 'text-go' : 'font-semibold text-stop'">{{
                plan.fit.fits ? 'fits the box' : 'does not fit the box'
              }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.name">
            <th scope="row" class="py-1 text-left text-[0.9rem] font-normal text-ink-soft">{{ row.name }}</th>
            <td
              v-for="(figure, at) in row.figures"
              :key="at"
              class="rounded-lg px-3 py-1 text-center"
              :class="row.differs ? 'bg-look-soft' : ''"
            >
              <FigureLink v-if="figure" :working="figure" /><span v-else>{{ row.words[at] }}</span>
            </td>
          </tr>
          <tr>
            <td />
            <td v-for="{ option } in planned" :key="option.id" class="pt-3 text-center">
              <span
                v-if="option.id === commission.chosen"
                class="inline-flex items-center gap-1.5 font-semibold text-go"
                ><Check class="size-4.5" aria-hidden="true" />chosen</span
              >
              <button
                v-else
                type="button"
                class="button button-go"
                :data-testid="`choose-${option.id}`"
                @click="choose(option.id, option.name)"
              >
                Choose this
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>
