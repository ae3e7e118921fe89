<script setup lang="ts">
import { computed } from 'vue'
import { scallopGuide } from '#core/cake'
import { guideSheet } from '#core/draw'
import { paintShapes } from '~/components/stand/shapePaint'
import SheetPrint from '~/components/ui/SheetPrint.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'

const { commission, cake } = usePlanned()

const guides = computed(() =>
  cake.value.tiers.flatMap(({ shape }, at) => {
    if (shape.kind !== 'scalloped') return []
    const guide = scallopGuide(shape)
    const sheets = ['lower card', 'upper card'].map((card) => guideSheet(guide, `tier ${at + 1}, ${card}`))
    const painted = paintShapes(sheets[0]!.shapes, `guide-${at}`).paths
    return [{ at, guide, sheets, painted }]
  }),
)
</script>

<template>
  <section
    v-for="{ at, guide, sheets, painted } in guides"
    :key="at"
    :aria-labelledby="`guide-${at}`"
    data-testid="guides"
    class="grid gap-5 md:grid-cols-[11rem_1fr]"
  >
    <svg
      :viewBox="`0 0 ${sheets[0]!.widthMm} ${sheets[0]!.heightMm}`"
      role="img"
      :aria-label="`Card guide of tier ${at + 1}`"
    >
      <g :transform="`translate(0 ${sheets[0]!.heightMm})`">
        <path
          v-for="(path, part) in painted"
          :key="part"
          :d="path.d"
          :fill="path.fill"
          :stroke="path.stroke"
          :stroke-width="path.strokeWidth * 2.4"
          :stroke-dasharray="path.dash"
        />
      </g>
    </svg>
    <div>
      <h2 :id="`guide-${at}`" class="part-title mb-1">Card guides for the scalloped tier {{ at + 1 }}</h2>
      <p class="mb-2">
        Two alike. Fold a circle {{ guide.foldBy.join(' × ') }} to find the marks,
        <FigureLink :working="guide.chord" /> apart; the cutter draws a lobe from mark to mark. One card below, one
        above, the dark notches in line. <FigureLink :working="guide.perimeter" /> round.
      </p>
      <p v-if="!guide.meets" class="mb-2 rounded-xl bg-look-soft px-3 py-2">
        The lobes do not meet: the cutter is narrower than from mark to mark.
      </p>
      <SheetPrint
        class="max-w-xs"
        :sheets="sheets"
        :title="`${commission.brief.name}: card guides`"
        :name="commission.brief.name"
        ending="-guides"
        :mark="`guide-${at}`"
      />
    </div>
  </section>
</template>
