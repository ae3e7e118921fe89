<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from '#imports'
import SheetDialog from '~/components/ui/SheetDialog.vue'
import { GUIDE, pageFor } from './guide'

/** The user's guide, laid over the leaf it is opened from, at the page that tells of it. */
const emit = defineEmits<{ close: []; keys: [] }>()
const route = useRoute()
const chosen = ref(pageFor(route.path))
const at = computed(() => GUIDE.findIndex(({ id }) => id === chosen.value))
const page = computed(() => GUIDE[at.value]!)
const next = computed(() => GUIDE[at.value + 1] ?? null)
const reader = ref<HTMLElement | null>(null)
watch(chosen, () => reader.value?.scrollIntoView({ block: 'start' }))
</script>

<template>
  <SheetDialog title="Guide" width="wide" data-testid="guide" @close="emit('close')">
    <div class="grid gap-x-8 gap-y-4 md:grid-cols-[13rem_minmax(0,1fr)]">
      <nav aria-label="Pages of the guide" class="md:sticky md:top-0 md:self-start">
        <ol class="flex flex-wrap gap-1 md:grid">
          <li v-for="{ id, title } in GUIDE" :key="id">
            <button
              type="button"
              class="min-h-9 w-full rounded-lg px-3 text-left text-[0.95rem] hover:bg-go-soft"
              :class="id === chosen ? 'bg-go-soft font-semibold' : ''"
              :aria-current="id === chosen ? 'page' : undefined"
              @click="chosen = id"
            >
              {{ title }}
            </button>
          </li>
        </ol>
        <button type="button" class="figure-link mt-3 ml-3 max-md:hidden" @click="emit('keys')">All keys</button>
      </nav>
      <article ref="reader" class="guide min-w-0 scroll-mt-4">
        <h2 class="leaf-title">{{ page.title }}</h2>
        <!-- The pages are this project's own files; nothing anybody typed comes here. -->
        <!-- eslint-disable-next-line vue/no-v-html -->
        <div v-html="page.html" />
        <button
          v-if="next"
          type="button"
          class="button button-go mt-4"
          data-testid="guide-next"
          @click="chosen = next.id"
        >
          Next: {{ next.title }}
        </button>
      </article>
    </div>
  </SheetDialog>
</template>
