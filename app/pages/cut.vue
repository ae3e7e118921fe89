<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted } from 'vue'
import GroupSection from '~/components/cut/GroupSection.vue'
import OffcutSection from '~/components/cut/OffcutSection.vue'
import OwnPiecesSection from '~/components/cut/OwnPiecesSection.vue'
import ShelfSection from '~/components/cut/ShelfSection.vue'
import ToolsSection from '~/components/cut/ToolsSection.vue'
import WaysSection from '~/components/cut/WaysSection.vue'
import CautionList from '~/components/ui/CautionList.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import LeafPart from '~/components/ui/LeafPart.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { afterFigures } from '~/composables/afterFigures'
import { usePlanned } from '~/composables/planned'
import { stockWords } from '#core/supply'
import { useNesting } from '~/stores/nesting'

const PieceTable = afterFigures(() => import('~/components/cut/PieceTable.vue'))

const { plan, cautionsOn } = usePlanned()
const cautions = cautionsOn('cut')
/** Layouts are searched for as long as they are looked at. */
const nesting = useNesting()
onMounted(() => nesting.look(true))
onBeforeUnmount(() => nesting.look(false))

const paper = computed(() => plan.value.tally.find(({ id }) => id === 'paper'))
/** What the paper comes as. */
const stock = computed(() => stockWords(plan.value.sheets))
const pieces = computed(() => plan.value.tally.find(({ id }) => id === 'pieces')?.working ?? null)
</script>

<template>
  <div>
    <LeafHeading v-if="paper?.working" :title="`${paper.working.value} ${stock}`">
      <template v-if="pieces"><FigureLink :working="pieces" after=" pieces" /> with spares from </template
      ><FigureLink :working="paper.working" :after="` ${stock}:`" /> {{ paper.beside }}. Cut dry; number pieces where it
      does not show.
    </LeafHeading>
    <LeafHeading v-else title="Nothing to cut yet"
      >Put something on the cake in Arrange, and its pieces appear here with every cut.</LeafHeading
    >
    <div class="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-6 xl:grid-cols-[minmax(0,1fr)_17.5rem]">
      <div class="grid min-w-0 grid-cols-[minmax(0,1fr)] content-start gap-7">
        <div class="grid grid-cols-[minmax(0,1fr)] gap-4">
          <WaysSection />
          <LeafPart><OwnPiecesSection /><ToolsSection v-if="plan.groups.length > 0" /></LeafPart>
        </div>
        <LeafPart v-for="group in plan.groups" :key="group.id"><GroupSection :group="group" /></LeafPart>
        <LeafPart v-if="plan.groups.length > 0 || plan.torn"><OffcutSection /></LeafPart>
      </div>
      <aside class="grid content-start gap-5" aria-label="Shelf">
        <LeafPart><ShelfSection /></LeafPart>
        <CautionList :cautions="cautions" />
      </aside>
      <section
        v-if="plan.decorations.length > 0"
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
