<script setup lang="ts">
import { MOST_PETALS } from '#core/workshop'
import { Download, Upload, X } from '@lucide/vue'
import { computed, ref } from 'vue'
import { z } from 'zod'
import { writeSvg } from '#core/format/svg'
import type { Point } from '#core/geometry'
import { fitPetal, PETAL_SHAPES, type PetalShape } from '#core/technique'
import { usePlanned } from '~/composables/planned'
import { placeOn, type PointerPlace } from '~/composables/pulled'
import { givenName, useSubmitted } from '~/composables/submitted'
import { chosenFile } from '~/files/chosen'
import { outlineIn } from '~/files/reading'
import { download, fileNameFor } from '~/files/download'
import HandlePoint from './HandlePoint.vue'
import { drawnPetal, petalHandles, petalPage, pulledPetal, type PetalHandle } from './petalHandles'

/** The outline of a petal, pulled into shape by its handles or begun from a shape botanists have a word for. */
const props = defineProps<{ shape: PetalShape; colour: string; lengthMm: number; called: string }>()
const { studio, workshop } = usePlanned()
const emit = defineEmits<{ change: [shape: Partial<PetalShape>, merge: string] }>()

/** As the handles of the side, smaller, so that they leave the outline to be seen. */
const HANDLE_SCALE = 0.7
const drawing = ref<SVGSVGElement | null>(null)
const handles = computed(() => petalHandles(props.shape))

const change = ({ id }: PetalHandle, place: Point): void => emit('change', pulledPetal(props.shape, id, place), id)

function pull(handle: PetalHandle, at: PointerPlace): void {
  const place = placeOn(drawing.value, at)
  if (place) change(handle, { x: place.x, y: -place.y })
}

/** The longest petal at true size, as a file. */
const save = (): void =>
  download(
    writeSvg([petalPage(props.shape, props.lengthMm)], props.called),
    fileNameFor(props.called, '.svg'),
    'image/svg+xml',
  )

/** Keeps the shape in the workshop under a name; one of that name gives way. */
const { field, submit, beginAgain, problem } = useSubmitted(
  z.object({ name: givenName(30) }),
  () => ({ name: '' }),
  ({ name }) => {
    const kept = { name, shape: { ...props.shape } }
    studio.edit('keep a petal', ({ workshop: draft }) => {
      draft.petals = [...draft.petals.filter((each) => each.name !== name), kept]
    })
    beginAgain()
  },
)
const [keepAs] = field('name')

const told = ref('')
const FAR = 0.05

/** The nearest petal to an outline from a file; one that cannot be read changes nothing. */
async function bring(event: Event): Promise<void> {
  const file = chosenFile(event)
  if (!file) return
  const brought = await outlineIn(file)
  if ('refused' in brought) {
    told.value = `${brought.refused} What was here is kept.`
    return
  }
  const { shape, offShare } = fitPetal(brought.content.rings[0]!.map(([x, y]) => ({ x, y })))
  told.value =
    offShare > FAR
      ? 'That outline is far from a petal with a foot below and a tip above; the nearest is shown.'
      : 'The nearest petal to your outline.'
  emit('change', shape, '')
}
</script>

<template>
  <section data-testid="petal">
    <h2 class="part-title mb-1">Petal</h2>
    <div class="grid grid-cols-[11rem_1fr] items-center gap-4">
      <svg
        ref="drawing"
        class="h-44 w-full touch-none select-none"
        viewBox="-84 -112 168 124"
        role="group"
        aria-label="The petal’s outline with its handles"
      >
        <path
          :d="drawnPetal(shape)"
          :fill="colour"
          fill-opacity="0.5"
          stroke="var(--ink)"
          stroke-width="1.2"
          stroke-linejoin="round"
        />
        <HandlePoint
          v-for="handle in handles"
          :key="handle.id"
          :x="handle.x"
          :y="-handle.y"
          :per-pixel="HANDLE_SCALE"
          :says="handle.name"
          :data-testid="`petal-${handle.id}`"
          @pull="pull(handle, $event)"
          @nudge="(right, up) => change(handle, { x: handle.x + right, y: handle.y + up })"
        />
      </svg>
      <div class="grid gap-2">
        <div class="flex flex-wrap gap-1.5" role="group" aria-label="Shapes to begin with" data-testid="petal-shapes">
          <button
            v-for="{ id, name, say, shape: begun } in PETAL_SHAPES"
            :key="id"
            type="button"
            class="button min-h-9 px-2.5 text-[0.88rem]"
            :title="say"
            @click="emit('change', begun, '')"
          >
            {{ name }}
          </button>
        </div>
        <div class="flex flex-wrap gap-1.5">
          <label
            class="button min-h-9 cursor-pointer gap-1! px-2.5 text-[0.88rem] focus-within:ring-2 focus-within:ring-go"
            ><Upload class="size-4" aria-hidden="true" />Bring an SVG<input
              type="file"
              class="sr-only"
              accept=".svg,.dxf,image/svg+xml"
              data-testid="petal-file"
              @change="bring"
          /></label>
          <button
            type="button"
            class="button min-h-9 gap-1! px-2.5 text-[0.88rem]"
            data-testid="petal-save"
            @click="save"
          >
            <Download class="size-4" aria-hidden="true" />Save as SVG
          </button>
        </div>
        <ul
          v-if="workshop.petals.length > 0"
          class="flex flex-wrap gap-1.5"
          aria-label="Petals you kept"
          data-testid="kept-petals"
        >
          <li v-for="kept in workshop.petals" :key="kept.name" class="flex">
            <button
              type="button"
              class="button min-h-9 rounded-r-none px-2.5 text-[0.88rem]"
              @click="emit('change', kept.shape, '')"
            >
              {{ kept.name }}</button><button
              type="button"
              class="button min-h-9 rounded-l-none px-1.5"
              :aria-label="`Forget ${kept.name}`"
              @click="
                studio.edit('forget a petal', ({ workshop: draft }) => {
                  draft.petals = draft.petals.filter(({ name }) => name !== kept.name)
                })
              "
            >
              <X class="size-4" aria-hidden="true" />
            </button>
          </li>
        </ul>
        <form
          v-if="workshop.petals.length < MOST_PETALS"
          class="flex flex-wrap items-end gap-1.5"
          novalidate
          @submit="submit"
        >
          <label class="text-[0.8rem] text-ink-soft"
            >Keep it as<input
              v-model="keepAs"
              class="field-input w-40 text-ink"
              maxlength="30"
              data-testid="keep-petal" /></label
          ><button type="submit" class="button min-h-9 px-2.5 text-[0.88rem]">Keep</button>
          <p v-if="problem" role="alert" class="w-full text-[0.88rem] text-stop">{{ problem }}</p>
        </form>
        <p v-if="told" role="status" class="text-[0.88rem] text-ink-soft">{{ told }}</p>
      </div>
    </div>
  </section>
</template>
