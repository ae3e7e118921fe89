<script setup lang="ts">
import type { Decoration } from '#core/commission'
import { runEnds } from '#core/decoration'
import { techniqueOf } from '#core/technique'
import { computed } from 'vue'
import type { ColourFault } from '#core/care'
import {
  CARRIER_WORDS,
  CARRIERS,
  COLOURING_WAYS,
  COLOURING_WORDS,
  colouringSchema,
  type Colouring,
  type ColouringWay,
} from '#core/tint'
import { paperOf } from '#core/material'
import ColourChoice from '~/components/ui/ColourChoice.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf } from '~/components/ui/choice'

/** How each decoration is coloured, what does not suit it, what would; and what goes on when it is dry. */
const { plan, option, studio, editOption } = usePlanned()

const rows = computed(() =>
  option.value.decorations.flatMap((decoration) => {
    const made = plan.value.decorations.find(({ id }) => id === decoration.id)
    return made && made.elements.length > 0
      ? [{ decoration, made, faults: plan.value.dishes.faults.filter((fault) => fault.decoration === decoration.id) }]
      : []
  }),
)
const hasSlurry = ({ technique }: Decoration): boolean => techniqueOf(technique).cast !== undefined
const waysFor = (decoration: Decoration): readonly ColouringWay[] =>
  COLOURING_WAYS.filter(
    (way) =>
      way === decoration.colouring.way ||
      (way === 'slurry' ? hasSlurry(decoration) : way !== 'stepped' || paperOf(decoration.paper).kind === 'film'),
  )
const isThinned = ({ colouring: { way } }: Decoration): boolean => way === 'brush' || way === 'mist'

const change = (id: string, label: string, set: (decoration: Decoration) => void): void =>
  editOption(
    label,
    ({ decorations }) => {
      set(decorations.find((each) => each.id === id)!)
    },
    `${label} ${id}`,
  )
const recolour = (id: string, colouring: Partial<Colouring>): void =>
  change(id, 'how it is coloured', (each) => {
    Object.assign(each.colouring, colouring)
  })
const setColour = (id: string, colour: string): void =>
  change(id, 'colour', (each) => {
    if (each.colour.steps === 1) each.colour.tail = colour
    each.colour.heart = colour
  })

function mend({ decoration, remedy }: ColourFault): void {
  if (remedy.kind === 'colouring') recolour(decoration, remedy.change)
  if (remedy.kind === 'leaveOut')
    studio.edit('leave dyes out', ({ workshop }) => {
      for (const dye of workshop.dyes) if (remedy.dyes.includes(dye.id)) dye.inUse = false
    })
}
const coatCounts = Array.from({ length: colouringSchema.shape.coats.maxValue! }, (_, at) => at + 1)
const THINNERS = choicesOf(CARRIERS, (carrier) => CARRIER_WORDS[carrier])
const FACES = choicesOf([1, 2] as const, (faces) => (faces === 1 ? 'on one face' : 'on both faces'))
const COATS = choicesOf(coatCounts, (coats) => (coats === 1 ? 'once' : `${coats} coats`))
</script>

<template>
  <section v-if="rows.length > 0" aria-labelledby="colouring" data-testid="colouring">
    <h2 id="colouring" class="part-title mb-2">How each is coloured</h2>
    <ul class="grid gap-4">
      <li
        v-for="{ decoration, made, faults } in rows"
        :key="decoration.id"
        class="grid grid-cols-[minmax(0,1fr)] gap-x-5 gap-y-1.5 sm:grid-cols-[9.5rem_minmax(0,1fr)]"
        :data-testid="`colouring-${decoration.id}`"
      >
        <b class="pt-1 text-[0.96rem]">{{ made.name }}</b>
        <div class="grid min-w-0 gap-1.5">
          <div class="flex flex-wrap items-center gap-2 text-[0.9rem]">
            <ChoiceField
              class="w-auto"
              hide-label
              :label="`${made.name} is`"
              :choices="choicesOf(waysFor(decoration), (way) => COLOURING_WORDS[way])"
              :model-value="decoration.colouring.way"
              @update:model-value="recolour(decoration.id, { way: $event })"
            />
            <template v-if="isThinned(decoration)">
              in
              <ChoiceField
                class="w-auto"
                hide-label
                :label="`${made.name} is thinned with`"
                :data-testid="`thinned-${decoration.id}`"
                :choices="THINNERS"
                :model-value="decoration.colouring.carrier"
                @update:model-value="recolour(decoration.id, { carrier: $event })"
              />
              <ChoiceField
                class="w-auto"
                hide-label
                :label="`${made.name}: faces`"
                :choices="FACES"
                :model-value="decoration.colouring.faces"
                @update:model-value="recolour(decoration.id, { faces: $event })"
              />
              <ChoiceField
                class="w-auto"
                hide-label
                :label="`${made.name}: coats`"
                :choices="COATS"
                :model-value="decoration.colouring.coats"
                @update:model-value="recolour(decoration.id, { coats: $event })"
              />
            </template>
          </div>
          <ColourChoice
            v-if="decoration.colouring.way !== 'bare'"
            :label="decoration.colour.steps > 1 ? runEnds(decoration.technique).heart : 'Colour'"
            :model-value="decoration.colour.heart"
            @update:model-value="setColour(decoration.id, $event)"
          />
          <ColourChoice
            v-if="decoration.colouring.way !== 'bare' && decoration.colour.steps > 1"
            :label="runEnds(decoration.technique).tail"
            :model-value="decoration.colour.tail"
            @update:model-value="
              change(decoration.id, 'tail colour', (each) => {
                each.colour.tail = $event
              })
            "
          />
          <p v-for="{ name, amount, step } in made.finishes" :key="step" class="text-[0.88rem] text-ink-soft">
            when dry: {{ name.toLowerCase() }}, <FigureLink :working="amount" />
          </p>
          <p
            v-for="fault in faults"
            :key="fault.code"
            class="rounded-lg px-3 py-1.5 text-[0.9rem]"
            :class="fault.severity === 'stop' ? 'bg-stop-soft' : 'bg-look-soft'"
            :data-testid="`fault-${fault.code}`"
          >
            {{ fault.say }} <template v-if="fault.remedy.kind === 'advice'">Better: {{ fault.remedy.words }}.</template
            ><button v-else type="button" class="figure-link" @click="mend(fault)">{{ fault.remedy.words }}</button>
          </p>
        </div>
      </li>
    </ul>
  </section>
</template>
