<script setup lang="ts">
import { onUnmounted } from 'vue'
import { useChangedWay } from '~/components/dry/changedWay'
import DryingSection from '~/components/dry/DryingSection.vue'
import PaperRests from '~/components/dry/PaperRests.vue'
import CautionList from '~/components/ui/CautionList.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import LeafPart from '~/components/ui/LeafPart.vue'
import { usePlanned } from '~/composables/planned'

const { plan, cautionsOn } = usePlanned()
const cautions = cautionsOn('dry')
const { words: changed, forget } = useChangedWay()
onUnmounted(forget)
</script>

<template>
  <div>
    <LeafHeading v-if="plan.work.making.length === 0 && plan.dryings.length === 0" title="Nothing to dry yet"
      >Put something on the cake in Arrange, and its rests appear here.</LeafHeading
    >
    <LeafHeading v-else title="How long it all dries"
      ><template v-if="plan.dryings.length > 0"
        >Soaked film by its curve in this room or in the oven; what is damped rests until it can be handled.</template
      ><template v-else>What is brushed or damped rests until it can be handled.</template> Damp air makes every rest
      longer.</LeafHeading
    >
    <p v-if="changed" class="mb-3 text-[0.92rem] text-ink-soft" role="status" data-testid="dried-changed">
      {{ changed }}
    </p>
    <CautionList class="mb-4" :cautions="cautions" />
    <LeafPart v-for="soaked in plan.dryings" :key="soaked.id"><DryingSection class="mb-8" :soaked="soaked" /></LeafPart>
    <LeafPart v-if="plan.work.making.length > 0"><PaperRests /></LeafPart>
  </div>
</template>
