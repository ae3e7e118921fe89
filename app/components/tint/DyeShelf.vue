<script setup lang="ts">
import { FlaskConical, Plus, X } from '@lucide/vue'
import { computed, defineAsyncComponent, ref } from 'vue'
import { z } from 'zod'
import { learnedDye, strengthWorking } from '#core/learn'
import { printNumber } from '#core/quantity'
import { absorptionFromSwatch, sheetHex, SOAKED_FILM } from '#core/tint'
import { DYE_BASES } from '#core/material'
import { DYE_BASE_WORDS, dyeStockSchema, MOST_DYES_ON_SHELF, type DyeStock } from '#core/supply'
import FigureLink from '~/components/working/FigureLink.vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import { usePlanned } from '~/composables/planned'
import { givenName, useSubmitted } from '~/composables/submitted'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf } from '~/components/ui/choice'
import SwitchField from '~/components/ui/SwitchField.vue'

const StripDialog = defineAsyncComponent(() => import('./StripDialog.vue'))

/**
 * The dyes to mix from: what a drop of each does on film, how sure that is, what is on hand against what the bath
 * takes.
 */
const { studio, workshop, plan } = usePlanned()

/** Each is shown as film soaked in so many drops to 100 ml. */
const SHOWN_DROPS = 10
const dips = ref<string | null>(null)

/** A dye that was just added is not in the plan yet: it is as it begins. */
const rows = computed(() =>
  workshop.value.dyes.map((stock) => {
    const learned =
      plan.value.dishes.dyes.film.find((each) => each.dye.id === stock.id) ?? learnedDye(stock, [], SOAKED_FILM)
    return {
      stock,
      trials: learned.trials,
      hex: sheetHex({ [stock.id]: SHOWN_DROPS }, [learned.dye], SOAKED_FILM),
      use: plan.value.dyeUses.find(({ dye }) => dye === stock.id)?.ml ?? null,
      strength: strengthWorking(learned),
      spread: learned.spread,
    }
  }),
)

const change = (id: string, label: string, set: (dye: DyeStock) => void): void =>
  studio.edit(
    label,
    (draft) => {
      set(draft.workshop.dyes.find((each) => each.id === id)!)
    },
    `dye ${id}`,
  )
const letGo = (id: string): void =>
  studio.edit('take dye off the shelf', ({ workshop: draft }) => {
    draft.dyes = draft.dyes.filter((each) => each.id !== id)
    draft.dyeTrials = draft.dyeTrials.filter(({ dye }) => dye !== id)
  })

const { field, submit, beginAgain, problem } = useSubmitted(
  z.object({ name: givenName(60), looks: z.string() }),
  () => ({ name: '', looks: '#c98fb4' }),
  ({ name, looks: hex }) => {
    studio.edit('add a dye', ({ workshop: draft }) => {
      draft.dyes.push({
        id: crypto.randomUUID(),
        name,
        base: 'water',
        absorptionPerDrop: [...absorptionFromSwatch(hex, SHOWN_DROPS, SOAKED_FILM)],
        onHandMl: 10,
        inUse: true,
      })
    })
    beginAgain()
  },
)
const [named] = field('name')
const [looks] = field('looks')
const BASES = choicesOf(DYE_BASES, (base) => DYE_BASE_WORDS[base])
</script>

<template>
  <section aria-labelledby="dye-shelf" data-testid="dye-shelf">
    <h2 id="dye-shelf" class="part-title mb-1">Dyes on the shelf</h2>
    <p class="mb-2 text-[0.88rem] text-ink-soft">
      Recipes take the fewest of those in use. A swatch is film out of {{ SHOWN_DROPS }} drops in 100 ml, dried.
    </p>
    <ul class="grid gap-2">
      <li
        v-for="{ stock, hex, trials, use, strength, spread } in rows"
        :key="stock.id"
        :class="[
          'grid grid-cols-[auto_auto_minmax(0,1fr)] items-center',
          'gap-x-3 gap-y-1 sm:grid-cols-[auto_auto_minmax(0,1fr)_7rem_6.5rem_auto]',
        ]"
      >
        <SwitchField
          class="justify-center"
          :aria-label="`${stock.name} is in use`"
          :model-value="stock.inUse"
          @update:model-value="
            change(stock.id, 'dye in use', (each) => {
              each.inUse = $event
            })
          "
        />
        <span
          class="size-8 rounded-full border border-line"
          :style="{ background: hex }"
          :data-testid="`dye-${stock.id}`"
          :title="hex"
        />
        <div class="min-w-0">
          <b class="text-[0.95rem]">{{ stock.name }}</b><span
            v-if="use"
            class="ml-2 text-[0.86rem]"
            :class="use.value > stock.onHandMl ? 'font-semibold text-stop' : 'text-ink-soft'"
            >takes <FigureLink :working="use" />{{ use.value > stock.onHandMl ? ', more than is on hand' : '' }}</span
          >
          <p class="text-[0.84rem] text-ink-soft">
            <template v-if="trials === 0">a guess until a strip is dipped</template
            ><template v-else
              ><FigureLink :working="strength" /> times as strong as begun with, ± {{ printNumber(100 * spread, 0) }} %,
              from {{ trials }} {{ trials === 1 ? 'strip' : 'strips' }}</template
            >
          </p>
        </div>
        <ChoiceField
          class="max-sm:col-start-3"
          hide-label
          :label="`${stock.name} is made with`"
          :choices="BASES"
          :model-value="stock.base"
          @update:model-value="
            change(stock.id, 'made with', (each) => {
              each.base = $event
            })
          "
        />
        <QuantityField
          class="max-sm:col-start-3"
          :schema="dyeStockSchema.shape.onHandMl"
          :label="`${stock.name} on hand`"
          hide-help
          :model-value="stock.onHandMl"
          @update:model-value="
            change(stock.id, 'dye on hand', (each) => {
              each.onHandMl = $event
            })
          "
        />
        <span class="flex items-center gap-1 max-sm:col-start-3"
          ><button
            type="button"
            class="figure-link flex min-h-8 items-center gap-1 whitespace-nowrap"
            @click="dips = stock.id"
          >
            <FlaskConical class="size-4" aria-hidden="true" />{{ trials > 0 ? 'strips' : 'dip a strip' }}</button
          ><button
            type="button"
            class="grid size-8 place-items-center rounded-full hover:bg-line"
            :aria-label="`Take ${stock.name} off the shelf`"
            @click="letGo(stock.id)"
          >
            <X class="size-4" aria-hidden="true" /></button
        ></span>
      </li>
    </ul>
    <form
      v-if="workshop.dyes.length < MOST_DYES_ON_SHELF"
      class="mt-3 flex flex-wrap items-end gap-3"
      novalidate
      @submit="submit"
    >
      <label class="w-44"
        ><span class="block text-[0.8rem] text-ink-soft">Another dye</span
        ><input v-model="named" class="field-input" maxlength="60" placeholder="its name"
      /></label>
      <label class="flex items-center gap-2 text-[0.88rem]"
        ><input
          v-model="looks"
          type="color"
          class="size-9"
          aria-label="Film out of ten drops of it looks like this"
        />as film out of {{ SHOWN_DROPS }} drops looks</label
      >
      <button type="submit" class="button"><Plus class="size-4.5" aria-hidden="true" />Add</button>
      <p v-if="problem" role="alert" class="w-full text-[0.88rem] text-stop">{{ problem }}</p>
    </form>
    <StripDialog v-if="dips !== null" :dye="dips" @close="dips = null" />
  </section>
</template>
