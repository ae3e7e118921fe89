<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted } from 'vue'
import { discSheet } from '#core/draw'
import { discStockSchema } from '#core/supply'
import { sameCuts } from '#core/cut'
import PieceTable from '~/components/cut/PieceTable.vue'
import DiscDrawing from '~/components/cut/DiscDrawing.vue'
import GroupSection from '~/components/cut/GroupSection.vue'
import OwnPiecesSection from '~/components/cut/OwnPiecesSection.vue'
import OffcutSection from '~/components/cut/OffcutSection.vue'
import ToolsSection from '~/components/cut/ToolsSection.vue'
import WaysSection from '~/components/cut/WaysSection.vue'
import CautionList from '~/components/ui/CautionList.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import SheetPrint from '~/components/ui/SheetPrint.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import { useNesting } from '~/stores/nesting'

const { studio, commission, workshop, plan, decoration, cautionsOn } = usePlanned()
const cautions = cautionsOn('cut')
/** Layouts are searched for as long as they are looked at. */
const nesting = useNesting()
onMounted(() => nesting.look(true))
onBeforeUnmount(() => nesting.look(false))
const MM_PER_REM = 33

// Each by itself, so that layouts that are found meanwhile do not draw the discs anew.
const bath = computed(() => plan.value.bath)
const discs = computed(() => plan.value.discs)
const tint = (shade: number): string => bath.value?.steps[shade]?.predictedHex ?? '#efece2'
const byDiameter = computed(() =>
  [280, 220, 160]
    .map((diameterMm) => ({ diameterMm, discs: discs.value.filter((disc) => disc.diameterMm === diameterMm) }))
    .filter((each) => each.discs.length > 0),
)
const total = computed(() => plan.value.tally.find(({ id }) => id === 'discs')!.working!)

/** One sheet for each different cut, named by the discs it is for. */
const sheets = computed(() =>
  sameCuts(discs.value).map(({ pattern, discs: alike }) => {
    const numbers = alike.map((disc) => disc.number).join(', ')
    const title =
      `${commission.value.brief.name}: disc ${numbers}, ${pattern.diameterMm} mm, ` +
      `${pattern.sectors.map(({ piece }) => piece.portion).join(' + ')}. Check: the ruler reads 100 mm.`
    return discSheet(pattern, tint, title, alike.length === 1)
  }),
)

function setDisc(diameterMm: number, change: (disc: (typeof workshop.value.discs)[number]) => void): void {
  studio.edit(`shelf ${diameterMm} mm`, (draft) => {
    change(draft.workshop.discs.find((disc) => disc.diameterMm === diameterMm)!)
  })
}
</script>

<template>
  <div>
    <LeafHeading v-if="plan.discs.length > 0" :title="`${plan.discs.length} discs of rice film`">
      <FigureLink :working="plan.cutList.total" after=" pieces" /> with spares on
      <FigureLink :working="total" after=" discs" />, <FigureLink :working="plan.strokes" after=" cuts" />. Cut dry;
      number each piece at its foot.
    </LeafHeading>
    <LeafHeading v-else title="Nothing to cut yet">{{
      decoration
        ? 'No disc size is in use. Tick one on the shelf below.'
        : 'Lay a sweep of sails in Arrange, and its discs appear here with every cut.'
    }}</LeafHeading>
    <div class="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-6 xl:grid-cols-[minmax(0,1fr)_17.5rem]">
      <div class="flex flex-wrap content-start gap-x-9 gap-y-5">
        <section
          v-for="{ diameterMm, discs: cut } in byDiameter"
          :key="diameterMm"
          :aria-label="`Discs of ${diameterMm} mm`"
        >
          <h2 class="part-title mb-2">{{ cut.length }} of {{ diameterMm }} mm</h2>
          <div class="flex flex-wrap gap-x-4 gap-y-3">
            <DiscDrawing v-for="disc in cut" :key="disc.number" :disc="disc" :tint="tint" :mm-per-rem="MM_PER_REM" />
          </div>
        </section>
        <p v-if="plan.discs.length > 0" class="w-full text-[0.88rem] text-ink-soft">
          A dashed ring marks a spare.<template v-if="plan.discs.some(({ freeDeg }) => freeDeg > 0)">
            Parts with a dashed edge stay whole: keep them dry for test strips and the next job.</template
          >
        </p>
      </div>
      <div class="grid min-w-0 content-start gap-7 xl:col-span-2">
        <div class="grid gap-4"><WaysSection /><OwnPiecesSection /><ToolsSection v-if="plan.groups.length > 0" /></div>
        <GroupSection v-for="group in plan.groups" :key="group.id" :group="group" />
        <OffcutSection v-if="plan.groups.length > 0" />
      </div>
      <aside
        class="grid content-start gap-5 xl:col-start-2 xl:row-span-2 xl:row-start-1"
        aria-label="Sizes, shelf and print"
      >
        <section v-if="plan.cutList.sizeClasses.length > 0">
          <h2 class="part-title mb-1">Sizes and spares</h2>
          <table class="w-full text-[0.92rem]">
            <thead class="text-left text-[0.8rem] text-ink-soft">
              <tr>
                <th class="font-normal">portion</th>
                <th class="text-right font-normal">for sails</th>
                <th class="text-right font-normal">spare</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="each in plan.cutList.sizeClasses" :key="`${each.portion}${each.discMm}`">
                <td class="py-0.5">{{ each.portion }} of {{ each.discMm }}</td>
                <td class="text-right"><FigureLink :working="each.needed" /></td>
                <td class="text-right"><FigureLink :working="each.spares" /></td>
              </tr>
            </tbody>
          </table>
        </section>
        <section>
          <h2 class="part-title mb-1">On the shelf</h2>
          <ul class="grid gap-1.5">
            <li
              v-for="disc in workshop.discs"
              :key="disc.diameterMm"
              class="grid grid-cols-[1fr_9rem] items-baseline gap-3"
            >
              <label class="flex items-center gap-2"
                ><input
                  type="checkbox"
                  class="size-5 accent-(--go)"
                  :checked="disc.inUse"
                  @change="
                    setDisc(disc.diameterMm, (each) => {
                      each.inUse = ($event.target as HTMLInputElement).checked
                    })
                  "
                />{{ disc.diameterMm }} mm</label
              >
              <QuantityField
                :schema="discStockSchema.shape.onHand"
                inline
                label="on hand"
                :model-value="disc.onHand"
                @update:model-value="
                  setDisc(disc.diameterMm, (each) => {
                    each.onHand = $event
                  })
                "
              />
            </li>
          </ul>
          <ul class="mt-2 text-[0.92rem]">
            <template v-for="supply in plan.supplies" :key="supply.diameterMm"
              ><li v-if="supply.packsToBuy.value > 0">
                Buy
                <FigureLink :working="supply.packsToBuy" :after="supply.packsToBuy.value === 1 ? ' pack' : ' packs'" />
                of {{ supply.diameterMm }} mm
              </li></template
            >
          </ul>
        </section>
        <section v-if="plan.discs.length > 0">
          <h2 class="part-title mb-2">Print at true size</h2>
          <SheetPrint
            :sheets="sheets"
            :title="`${commission.brief.name}: cuts`"
            :name="commission.brief.name"
            ending="-cuts"
          />
        </section>
        <CautionList :cautions="cautions" />
      </aside>
      <section
        v-if="plan.decorations.length > 0 || plan.discs.length > 0"
        class="[contain-intrinsic-size:auto_60rem] [content-visibility:auto] xl:col-span-2"
        aria-labelledby="all-pieces"
      >
        <h2 id="all-pieces" class="part-title mb-1">Every piece</h2>
        <PieceTable />
        <p v-if="plan.accents.length > 0" class="mt-2 text-[0.92rem]">
          With them:
          <template v-for="(accent, at) in plan.accents" :key="accent.id"
            >{{ at > 0 ? ', ' : '' }}<FigureLink :working="accent.count" :after="` ${accent.many}`" />{{
              accent.edible ? '' : ' (for show)'
            }}</template
          >.
        </p>
      </section>
    </div>
  </div>
</template>
