<script setup lang="ts">
import { ref } from 'vue'
import { download, fileNameFor } from '~/files/download'
import { useShelf } from '~/stores/shelf'
import { useStudio } from '~/stores/studio'

/** Records that do not hold together: why, and what can still be got out of them. */
const studio = useStudio()
const shelf = useShelf()
const MOST_FIELDS = 3
/** The record that is let go at the next touch. */
const sure = ref('')

const save = (name: string, record: unknown): void =>
  download(`${JSON.stringify(record, null, 2)}\n`, fileNameFor(name, '-as-it-lay.json'), 'application/json')

async function letGo(id: string): Promise<void> {
  if (sure.value === id) await shelf.letAsideGo(id)
  sure.value = sure.value === id ? '' : id
}
</script>

<template>
  <section v-if="studio.setAside.length > 0" class="mt-6" data-testid="set-aside">
    <h2 class="font-display text-[1.25rem] font-semibold">Set aside</h2>
    <p class="mb-2 text-ink-soft">
      These could not be read any more. Save what is there to a file; an earlier day may bring a commission back.
    </p>
    <ul class="grid gap-2">
      <li
        v-for="each in studio.setAside"
        :key="each.id"
        class="flex flex-wrap items-start justify-between gap-3 rounded-2xl bg-stop-soft px-4 py-3"
      >
        <div class="min-w-64 flex-1">
          <p class="font-semibold">{{ each.name }}</p>
          <ul class="text-[0.9rem] break-words">
            <li v-for="(reason, at) in each.why.slice(0, MOST_FIELDS)" :key="at">{{ reason }}</li>
            <li v-if="each.why.length > MOST_FIELDS">and {{ each.why.length - MOST_FIELDS }} more</li>
          </ul>
        </div>
        <div class="flex flex-wrap gap-2">
          <button type="button" class="button min-h-9" @click="save(each.name, each.record)">Save what is there</button>
          <button type="button" class="button min-h-9" @click="letGo(each.id)">
            {{ sure === each.id ? 'Really let it go' : 'Let it go' }}
          </button>
        </div>
      </li>
    </ul>
  </section>
</template>
