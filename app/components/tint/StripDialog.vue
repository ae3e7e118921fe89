<script setup lang="ts">
import { MOST_TRIALS } from '#core/workshop'
import { ImagePlus } from '@lucide/vue'
import { computed, ref, useId, watch } from 'vue'
import { dyeTrialSchema, learnedDye, type DyeTrial } from '#core/learn'
import { printNumber } from '#core/quantity'
import { sheetHex, STRIPS } from '#core/tint'
import { shrinkPhoto } from '~/components/brief/photos'
import QuantityField from '~/components/ui/QuantityField.vue'
import { touchedColour } from '~/components/ui/touchedColour'
import { usePlanned } from '~/composables/planned'
import { useSubmitted } from '~/composables/submitted'
import { chosenFile } from '~/files/chosen'
import type { Photo } from '#core/ledger'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import SheetDialog from '~/components/ui/SheetDialog.vue'

/** A strip that was dipped and dried beside a bare one: what it teaches about the dye, and what earlier ones taught. */
const props = defineProps<{ dye: string }>()
const emit = defineEmits<{ close: [] }>()
const { studio, workshop, plan } = usePlanned()

const STARTING_DROPS = 8
/** A bare strip on white, as it is reckoned. */
const bareOf = (of: DyeTrial['kind']): string => sheetHex({}, [], STRIPS[of])
const { field, submit } = useSubmitted(
  dyeTrialSchema.pick({ kind: true, dropsPer100Ml: true, bare: true, swatch: true }),
  () => ({
    kind: 'film' as DyeTrial['kind'],
    dropsPer100Ml: STARTING_DROPS,
    bare: bareOf('film'),
    swatch: '#cccccc',
  }),
  (dipped) => {
    const kept = { ...dipped, id: crypto.randomUUID(), dye: props.dye, odd: false }
    studio.edit('strip dipped', ({ workshop: draft }) => {
      draft.dyeTrials.push(kept)
    })
    emit('close')
  },
)
const [kind] = field('kind')
const [drops] = field('dropsPer100Ml')
const [bare] = field('bare')
const [swatch] = field('swatch')
const form = useId()
const photo = ref<Photo | null>(null)
const problem = ref('')
/** What is touched next on the photograph. */
const next = ref<'bare' | 'swatch'>('bare')

const stock = computed(() => workshop.value.dyes.find(({ id }) => id === props.dye))
const known = computed(() => plan.value.dishes.dyes[kind.value].find(({ dye }) => dye.id === props.dye))
const trials = computed(() => workshop.value.dyeTrials.filter(({ dye }) => dye === props.dye))
const foreseen = computed(() =>
  known.value ? sheetHex({ [known.value.dye.id]: drops.value }, [known.value.dye], STRIPS[kind.value]) : '#ffffff',
)
const trial = computed((): Omit<DyeTrial, 'id'> | null =>
  stock.value
    ? {
        dye: stock.value.id,
        kind: kind.value,
        dropsPer100Ml: drops.value,
        bare: bare.value,
        swatch: swatch.value,
        odd: false,
      }
    : null,
)
/** What the dye would be taken for with this strip. */
const then = computed(() =>
  stock.value && trial.value
    ? learnedDye(stock.value, [...workshop.value.dyeTrials, { ...trial.value, id: 'new' }], STRIPS[kind.value])
    : null,
)

watch(
  kind,
  () => {
    bare.value = bareOf(kind.value)
    swatch.value = foreseen.value
  },
  { immediate: true },
)

async function bring(event: Event): Promise<void> {
  const file = chosenFile(event)
  if (!file) return
  const taken = await shrinkPhoto(file)
  problem.value = 'sentence' in taken ? taken.sentence : ''
  if (!('sentence' in taken)) {
    photo.value = taken
    next.value = 'bare'
  }
}

function touch(event: MouseEvent): void {
  const colour = touchedColour(event)
  if (next.value === 'bare') bare.value = colour
  else swatch.value = colour
  next.value = next.value === 'bare' ? 'swatch' : 'bare'
}

const mark = (id: string, odd: boolean): void =>
  studio.edit(odd ? 'strip is odd' : 'strip counts', ({ workshop: draft }) => {
    draft.dyeTrials.find((each) => each.id === id)!.odd = odd
  })
const forget = (id: string): void =>
  studio.edit('forget strip', ({ workshop: draft }) => {
    draft.dyeTrials = draft.dyeTrials.filter((each) => each.id !== id)
  })
const KINDS = [
  { value: 'film', says: 'rice film' },
  { value: 'wafer', says: 'wafer paper' },
] as const
</script>

<template>
  <SheetDialog :title="`A strip of ${stock?.name ?? ''}`" width="narrow" @close="emit('close')">
    <div v-if="stock && known && then" class="grid gap-4">
      <p class="text-[0.94rem]">
        Dip a strip in a little bath of known strength,
        {{ kind === 'film' ? 'as long as film is soaked' : 'in and out again' }}, dry it, and lay it beside a bare strip
        on white, in daylight.
      </p>
      <form
        :id="form"
        class="grid grid-cols-3 items-end gap-x-6 gap-y-3 sm:grid-cols-[8rem_8rem_auto_auto_auto]"
        novalidate
        @submit="submit"
      >
        <QuantityField v-model="drops" class="max-sm:col-span-3" :schema="dyeTrialSchema.shape.dropsPer100Ml" />
        <ChoiceField
          v-model="kind"
          class="max-sm:col-span-3"
          :label="dyeTrialSchema.shape.kind.meta()!.label as string"
          :choices="KINDS"
        />
        <label class="text-[0.84rem] text-ink-soft"
          >Foreseen<span class="mt-1 block size-14 rounded-lg border border-line" :style="{ background: foreseen }"
        /></label>
        <label class="text-[0.84rem] text-ink-soft"
          >The bare strip<input v-model="bare" type="color" class="mt-1 block size-14"
        /></label>
        <label class="text-[0.84rem] text-ink-soft"
          >The dyed strip<input v-model="swatch" type="color" class="mt-1 block size-14"
        /></label>
      </form>
      <div v-if="photo" class="grid gap-1">
        <p role="status" class="text-[0.92rem]">
          {{ next === 'bare' ? 'Touch the bare strip.' : 'Now touch the dyed strip.' }}
        </p>
        <button
          type="button"
          class="mx-auto block cursor-crosshair overflow-hidden rounded-lg"
          aria-label="Photograph: touch the bare strip, then the dyed one"
          @click="touch"
        >
          <img :src="photo.dataUrl" :alt="photo.name" class="block max-h-72" />
        </button>
      </div>
      <label class="button w-fit cursor-pointer focus-within:ring-2 focus-within:ring-go"
        ><ImagePlus class="size-4.5" aria-hidden="true" />Take both from a photograph<input
          type="file"
          class="sr-only"
          accept="image/*"
          @change="bring"
      /></label>
      <p v-if="problem" role="alert" class="rounded-lg bg-look-soft px-3 py-1.5 text-[0.92rem]">{{ problem }}</p>
      <p class="rounded-xl bg-paper-deep px-4 py-2.5 text-[0.94rem]" data-testid="strip-teaches">
        With this strip the dye counts as {{ printNumber(then.strength, 2) }} times what it began with, ±
        {{ printNumber(100 * then.spread, 0) }} % (now {{ printNumber(known.strength, 2) }}, ±
        {{ printNumber(100 * known.spread, 0) }} %).
      </p>
      <ul v-if="trials.length > 0" class="grid gap-1 text-[0.9rem]">
        <li v-for="each in trials" :key="each.id" class="flex items-center gap-2">
          <span class="size-6 rounded border border-line" :style="{ background: each.bare }" /><span
            class="size-6 rounded border border-line"
            :style="{ background: each.swatch }"
          /><span :class="each.odd ? 'text-ink-soft line-through' : ''"
            >{{ printNumber(each.dropsPer100Ml, 1) }} drops in 100 ml, {{ each.kind }}</span
          ><button type="button" class="figure-link" :aria-pressed="each.odd" @click="mark(each.id, !each.odd)">
            {{ each.odd ? 'let it count' : 'odd, leave it out' }}</button
          ><button type="button" class="figure-link" @click="forget(each.id)">forget</button>
        </li>
      </ul>
    </div>
    <template #actions
      ><button type="submit" :form class="button button-go" :disabled="workshop.dyeTrials.length >= MOST_TRIALS">
        Keep this strip
      </button></template
    >
  </SheetDialog>
</template>
