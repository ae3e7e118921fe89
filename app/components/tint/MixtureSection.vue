<script setup lang="ts">
import { offcutsFor } from '#core/mixture'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'

/** Glue, damping, conditioners and the like for the whole cake: how much of each, from what, kept how. */
const { plan } = usePlanned()
</script>

<template>
  <section v-if="plan.mixtures.length > 0" class="mt-7" data-testid="mixtures">
    <h2 class="part-title mb-2">Glue and conditioners</h2>
    <ul class="grid gap-x-8 gap-y-4 md:grid-cols-2 xl:grid-cols-3">
      <li v-for="mixture in plan.mixtures" :key="mixture.id" class="border-t border-line pt-2">
        <h3 class="font-semibold">
          {{ mixture.name }} <FigureLink class="font-display text-[1.1rem]" :working="mixture.ml" />
        </h3>
        <p class="text-[0.92rem]">
          <template v-for="({ name, amount }, at) in mixture.parts" :key="name"
            >{{ at > 0 ? ', ' : '' }}<FigureLink :working="amount" /> {{ name }}</template
          >
        </p>
        <p class="text-[0.88rem] text-ink-soft">
          {{ mixture.make }} In {{ mixture.container }}; keeps {{ mixture.keeps }}.
        </p>
        <p v-if="mixture.swap" class="mt-1 rounded-lg bg-look-soft px-3 py-1.5 text-[0.88rem]">
          Without {{ mixture.swap.without }}: {{ mixture.swap.costs }}.
        </p>
      </li>
    </ul>
    <p v-if="offcutsFor(plan.mixtures).value > 0" class="mt-3 text-[0.9rem] text-ink-soft">
      About <FigureLink :working="offcutsFor(plan.mixtures)" /> of offcuts go into them: keep clean ones by before a new
      sheet is torn. Amounts are estimates; follow the labels.
    </p>
  </section>
</template>
