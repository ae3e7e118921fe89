<script setup lang="ts">
import { Plus, X } from '@lucide/vue'
import { computed } from 'vue'
import { finishOf, type FinishId, techniqueOf } from '#core/technique'
import QuantitySlider from '~/components/ui/QuantitySlider.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import ColourChoice from '~/components/ui/ColourChoice.vue'
import { useDecoration } from './editing'
import { FINISH_SHARE } from './schemas'
import IconButton from '~/components/ui/IconButton.vue'

/** What is done to the dry paper: gilded edges, dust, stencil, speckle, a second tone. */
const props = defineProps<{ id: string }>()
const { decoration, made, edit } = useDecoration(() => props.id)

const offered = computed(() =>
  techniqueOf(decoration.value.technique)
    .finishes.filter((finish) => !decoration.value.finishes.some((each) => each.finish === finish))
    .map(finishOf),
)
const amountOf = (finish: FinishId) => made.value?.finishes.find(({ id }) => id === finish)?.amount ?? null

function add(finish: FinishId): void {
  const { startingColour, startingShare, name } = finishOf(finish)
  edit(name.toLowerCase(), ({ finishes }) => {
    finishes.push({ finish, colour: startingColour, share: startingShare })
  })
}
</script>

<template>
  <section data-testid="finishes">
    <h2 class="part-title mb-1">Finishes</h2>
    <div v-for="(each, at) in decoration.finishes" :key="each.finish" class="mb-2.5 grid gap-1">
      <p class="flex items-center gap-2 text-[0.94rem]">
        <b>{{ finishOf(each.finish).name }}</b><span v-if="amountOf(each.finish)" class="text-ink-soft"
          >takes <FigureLink :working="amountOf(each.finish)!" /></span
        ><IconButton
          :icon="X"
          class="ml-auto"
          :says="`Leave out: ${finishOf(each.finish).name}`"
          @click="
            edit('leave out a finish', ({ finishes }) => {
              finishes.splice(at, 1)
            })
          "
        />
      </p>
      <ColourChoice
        label="Colour"
        :model-value="each.colour"
        @update:model-value="
          edit('finish colour', ({ finishes }) => {
            finishes[at]!.colour = $event
          })
        "
      />
      <div class="max-w-60">
        <QuantitySlider
          :schema="FINISH_SHARE"
          :label="finishOf(each.finish).over === 'edge' ? 'Of the edge' : 'Of the face'"
          :model-value="each.share"
          @update:model-value="
            edit(
              'how much',
              ({ finishes }) => {
                finishes[at]!.share = $event
              },
              `finish ${each.finish}`,
            )
          "
        />
      </div>
      <p class="text-[0.86rem] text-look-ink">{{ finishOf(each.finish).caution }}</p>
    </div>
    <div class="flex flex-wrap gap-1.5">
      <button
        v-for="finish in offered"
        :key="finish.id"
        type="button"
        class="button min-h-9 gap-1! px-2.5 text-[0.88rem]"
        :title="finish.say"
        :data-testid="`finish-${finish.id}`"
        @click="add(finish.id)"
      >
        <Plus class="size-4" aria-hidden="true" />{{ finish.name }}
      </button>
    </div>
  </section>
</template>
