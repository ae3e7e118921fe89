<script setup lang="ts">
import { Upload } from '@lucide/vue'
import { ref } from 'vue'
import { printQuantity } from '#core/quantity'
import { silhouette } from '#core/technique'
import QuantityField from '~/components/ui/QuantityField.vue'
import { chosenFile } from '~/files/chosen'
import { outlineIn } from '~/files/reading'
import { usePreferences } from '~/stores/preferences'
import { useDecoration } from './editing'

/** The outline of a silhouette, brought as SVG or DXF. A file that cannot be read changes nothing. */
const props = defineProps<{ id: string }>()
const { decoration, edit } = useDecoration(() => props.id)
const preferences = usePreferences()

const refused = ref('')
const notes = ref<readonly string[]>([])
/** Set while the user is asked how high an outline is whose file does not say so. */
const asksHeight = ref(false)
const LEAST_MM = 10
const MOST_MM = 260

async function open(event: Event): Promise<void> {
  const file = chosenFile(event)
  if (!file) return
  const brought = await outlineIn(file)
  refused.value = 'refused' in brought ? brought.refused : ''
  if ('refused' in brought) return
  const { rings, heightMm } = brought.content
  const fits = heightMm === null ? null : Math.min(MOST_MM, Math.max(LEAST_MM, Math.round(heightMm * 10) / 10))
  notes.value = [
    ...brought.content.notes,
    ...(fits !== null && Math.abs(fits - heightMm!) > 0.5
      ? [
          `It is ${printQuantity(heightMm!, 'length', preferences.units)} high in the file; silhouettes are ` +
            `made from ${printQuantity(LEAST_MM, 'length', preferences.units)} to ` +
            `${printQuantity(MOST_MM, 'length', preferences.units)}.`,
        ]
      : []),
  ]
  asksHeight.value = fits === null
  edit('bring an outline', (each) => {
    if (each.technique !== silhouette.id) return
    each.parameters.rings = rings.map((ring) => ring.map(([x, y]): [number, number] => [x, y]))
    if (fits !== null) each.parameters.seenMm = fits
  })
}

function setHeight(mm: number): void {
  asksHeight.value = false
  edit('how high', (each) => {
    if (each.technique === silhouette.id) each.parameters.seenMm = mm
  })
}
</script>

<template>
  <section v-if="decoration.technique === silhouette.id">
    <h2 class="part-title mb-1">Outline</h2>
    <label class="button w-fit cursor-pointer focus-within:ring-2 focus-within:ring-go"
      ><Upload class="size-4.5" aria-hidden="true" />Bring an SVG or DXF<input
        type="file"
        class="sr-only"
        accept=".svg,.dxf,image/svg+xml"
        data-testid="outline-file"
        @change="open"
    /></label>
    <p class="mt-1 text-[0.88rem] text-ink-soft">Only its lines are taken. Bring what you drew yourself or may use.</p>
    <div v-if="asksHeight" class="mt-2 max-w-56 rounded-lg bg-look-soft px-3 py-2" data-testid="outline-height">
      <p class="text-[0.88rem]">The file does not say how large it is.</p>
      <QuantityField
        :schema="silhouette.parameters.shape.seenMm"
        label="How high is it?"
        :model-value="decoration.parameters.seenMm"
        @update:model-value="setHeight"
      />
    </div>
    <p v-if="refused" role="alert" class="mt-2 rounded-lg bg-stop-soft px-3 py-1.5 text-[0.9rem]">
      {{ refused }} What was here is kept.
    </p>
    <ul v-if="notes.length > 0" class="mt-2 text-[0.86rem] text-ink-soft">
      <li v-for="note in notes" :key="note">{{ note }}</li>
    </ul>
  </section>
</template>
