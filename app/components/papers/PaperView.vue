<script setup lang="ts">
import type { Paper } from '#core/deliver'
import PictureView from './PictureView.vue'

/** A paper on the screen, as it reads on a page. */
defineProps<{ paper: Paper }>()
</script>

<template>
  <article class="max-w-4xl print:max-w-none" :aria-label="paper.title" :data-testid="`paper-${paper.id}`">
    <h2 class="font-display text-[1.4rem] font-semibold">{{ paper.title }}</h2>
    <p class="mb-3 text-[0.92rem] text-ink-soft">{{ paper.under }}</p>
    <template v-for="(block, at) in paper.blocks" :key="at">
      <h3 v-if="block.kind === 'heading'" class="mt-3 mb-1 text-[1.05rem]">{{ block.text }}</h3>
      <ul v-else-if="block.kind === 'lines'" class="mb-3 list-disc pl-5 marker:text-go">
        <li v-for="line in block.lines" :key="line" class="mb-0.5">{{ line }}</li>
      </ul>
      <p v-else-if="block.kind === 'note'" class="mb-3 rounded-xl bg-look-soft px-3.5 py-2">{{ block.text }}</p>
      <div v-else-if="block.kind === 'table'" class="mb-3 overflow-x-auto" tabindex="0">
        <table class="w-full text-[0.92rem]">
          <thead class="text-left text-[0.8rem] text-ink-soft">
            <tr>
              <th v-if="block.ticks" class="w-7 font-normal"><span class="sr-only">done</span></th>
              <th
                v-for="(head, column) in block.head"
                :key="head"
                class="pr-3 font-normal"
                :class="block.numbers.includes(column) ? 'text-right' : ''"
              >
                {{ head }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, line) in block.rows" :key="line" class="border-t border-line align-top">
              <td v-if="block.ticks" class="py-1 pr-2">
                <span class="inline-block size-4.5 rounded border-2 border-ink-soft" role="img" aria-label="to tick" />
              </td>
              <td
                v-for="(cell, column) in row"
                :key="column"
                class="py-1 pr-3"
                :class="[
                  block.numbers.includes(column) ? 'text-right font-semibold' : '',
                  column === 1 ? 'font-semibold' : '',
                ]"
              >
                {{ cell }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div v-else-if="block.kind === 'pictures'" class="mb-3 grid gap-4 sm:grid-cols-2 print:grid-cols-2">
        <PictureView
          v-for="({ picture, says }, each) in block.pictures"
          :key="each"
          :picture="picture"
          :says="says"
          :mark="`${paper.id}-${at}-${each}`"
          class="rounded-xl bg-white"
        />
      </div>
      <div
        v-else-if="block.kind === 'photos'"
        class="mb-3"
        :class="block.areLarge ? 'grid grid-cols-2 gap-4' : 'flex flex-wrap gap-2'"
      >
        <img
          v-for="photo in block.photos"
          :key="photo.name"
          :src="photo.dataUrl"
          :alt="photo.name"
          class="rounded-lg"
          :class="block.areLarge ? 'w-full bg-paper-deep/60' : 'h-40'"
        />
      </div>
      <div v-else class="mb-3 grid gap-6 pt-6 sm:grid-cols-3">
        <p v-for="line in block.lines" :key="line" class="border-t border-ink pt-1 text-[0.84rem] text-ink-soft">
          {{ line }}
        </p>
      </div>
    </template>
  </article>
</template>
