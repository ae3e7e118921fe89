<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { computed } from 'vue'
import { soakedSail } from '#core/technique'
import { dateClockText, parseMoment, valueOf } from '#core/quantity'
import CautionList from '~/components/ui/CautionList.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import { usePlanned } from '~/composables/planned'

const { commission, plan, decoration, cautionsOn } = usePlanned()
const cautions = cautionsOn('deliver')

const card = computed(() => plan.value.careCard)
const event = computed(() => dateClockText(valueOf(parseMoment(commission.value.brief.eventAt))))
/** Every note that applies on the way, told in the order of the work. */
const onTheWay = computed(() => plan.value.cautions.filter(({ severity, leaf }) => severity === 'note' && leaf !== 'deliver'))
const print = (): void => window.print()
</script>

<template>
  <div v-if="!decoration && plan.paperwork.length === 0"><LeafHeading title="Nothing to hand over yet">Lay something on the cake in Arrange, and the care card writes itself.</LeafHeading></div>
  <div v-else class="max-w-3xl print:max-w-none">
    <div class="flex items-start justify-between gap-4">
      <LeafHeading title="Care card">{{ commission.brief.name }}, {{ commission.brief.occasion.toLowerCase() || 'event' }} on {{ event }}. For whoever keeps, cuts and serves the cake.</LeafHeading>
      <button type="button" class="button button-go no-print shrink-0" @click="print"><Printer class="size-4.5" aria-hidden="true" />Print</button>
    </div>
    <div class="grid gap-x-10 gap-y-6 sm:grid-cols-2 print:grid-cols-2">
      <section><h2 class="part-title mb-1">Keeping</h2><ul class="list-disc pl-5 marker:text-go"><li v-for="line in card.keep" :key="line" class="mb-1">{{ line }}</li></ul></section>
      <section><h2 class="part-title mb-1">Cutting and eating</h2><ul class="list-disc pl-5 marker:text-go"><li v-for="line in card.eat" :key="line" class="mb-1">{{ line }}</li></ul></section>
      <section>
        <h2 class="part-title mb-1">To take out first</h2>
        <table v-if="card.remove.length > 0" class="w-full text-[0.95rem]" data-testid="removals">
          <thead class="text-left text-[0.8rem] text-ink-soft"><tr><th class="font-normal">not food</th><th class="pr-3 text-right font-normal">in</th><th class="font-normal">out</th></tr></thead>
          <tbody><tr v-for="removal in card.remove" :key="`${removal.name} ${removal.where}`"><td class="py-1 pr-3">{{ removal.name }}, {{ removal.where }}</td><td class="pr-3 text-right font-semibold">{{ removal.count }}</td><td><span class="inline-block size-6 rounded border-2 border-ink-soft" role="img" aria-label="to tick when out" /></td></tr></tbody>
        </table>
        <p v-else>Nothing that is not food is left in this cake.</p>
      </section>
      <section><h2 class="part-title mb-1">Before serving</h2><ul class="list-disc pl-5 marker:text-go"><li v-for="line in card.ask" :key="line" class="mb-1">{{ line }}</li></ul></section>
    </div>
    <CautionList :cautions="cautions" class="mt-5" />
    <section class="mt-7 border-t border-line pt-5">
      <h2 class="part-title mb-2">For you, on the way there</h2>
      <ol v-if="plan.arrangement.sails.length > 0" class="mb-3 grid gap-1.5">
        <li v-for="(step, at) in soakedSail.steps" :key="step.id" class="grid grid-cols-[1.6rem_1fr]"><span class="font-display font-semibold text-ink-soft">{{ at + 1 }}</span><span><strong>{{ step.name }}.</strong> {{ step.say }} <em v-for="caution in soakedSail.cautions.filter((each) => each.at === step.id)" :key="caution.id" class="text-look-ink not-italic">{{ caution.say }} </em></span></li>
      </ol>
      <div v-for="made in plan.paperwork" :key="made.id" class="mb-3">
        <h3 class="text-[1rem]">{{ made.name }}</h3>
        <p v-for="step in made.steps" :key="step.id" class="text-[0.94rem]"><strong>{{ step.name }}.</strong> {{ step.say }} <em v-for="caution in made.cautions.filter((each) => each.at === step.id)" :key="caution.id" class="text-look-ink not-italic">{{ caution.say }}</em></p>
      </div>
      <CautionList :cautions="onTheWay" />
    </section>
  </div>
</template>
