<script setup lang="ts">
import { Minus, Plus } from '@lucide/vue'
import { computed } from 'vue'
import { usePlanned } from '~/composables/planned'
import { useBench } from '~/stores/bench'
import IconButton from '~/components/ui/IconButton.vue'

/** What is not food, counted as it goes in and as it comes out; what stays until the cake is cut goes on the list. */
const { plan } = usePlanned()
const bench = useBench()
const rows = computed(() =>
  plan.value.inedible.map((each) => ({
    each,
    went: bench.bench.wentIn[each.id] ?? 0,
    came: bench.bench.cameOut[each.id] ?? 0,
  })),
)
const missing = computed(() => rows.value.filter(({ each, went, came }) => !each.stays && came < went))
const hasCounted = computed(() => rows.value.some(({ went }) => went > 0))
const staying = computed(() =>
  rows.value.filter(({ went, came }) => went > came).reduce((sum, { went, came }) => sum + went - came, 0),
)
const set = (side: 'wentIn' | 'cameOut', id: string, value: number): void =>
  bench.change(side === 'wentIn' ? 'count in' : 'count out', (before) => ({
    ...before,
    [side]: { ...before[side], [id]: Math.max(0, value) },
  }))
const allIn = (): void =>
  bench.change('all counted in', (before) => ({
    ...before,
    wentIn: Object.fromEntries(plan.value.inedible.map(({ id, count }) => [id, count.value])),
  }))
</script>

<template>
  <section v-if="rows.length > 0" aria-label="Counted in and out" data-testid="count-section">
    <div class="mb-2 flex flex-wrap items-center justify-between gap-2">
      <p
        class="rounded-xl px-3.5 py-2"
        :class="missing.length > 0 ? 'bg-stop-soft' : 'bg-go-soft'"
        data-testid="count-state"
      >
        {{
          missing.length > 0
            ? `Not out yet: ${missing.map(({ each, went, came }) => `${went - came} ${each.name}`).join(', ')}. ` +
              `Search before the cake leaves.`
            : staying > 0
              ? `${staying} stay in until the cake is cut; they are on the removal list.`
              : hasCounted
                ? 'All that went in came out again.'
                : 'Count in what is not food as it goes into the cake, and out again as it comes out.'
        }}
      </p>
      <button type="button" class="button" data-testid="all-in" @click="allIn">All went in as planned</button>
    </div>
    <table class="w-full text-[0.95rem]" data-testid="removals">
      <thead class="text-left text-[0.8rem] text-ink-soft">
        <tr>
          <th class="font-normal">not food</th>
          <th class="text-right font-normal">planned</th>
          <th class="text-center font-normal">in</th>
          <th class="text-center font-normal">out</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="{ each, went, came } in rows"
          :key="each.id"
          class="border-t border-line"
          :data-testid="`inedible-${each.id}`"
        >
          <th scope="row" class="py-1.5 pr-3 text-left font-normal">
            <strong>{{ each.name }}</strong><span class="block text-[0.84rem] text-ink-soft max-sm:hidden">{{
              each.where
            }}</span>
          </th>
          <td class="pr-3 text-right font-semibold">{{ each.count.value }}</td>
          <td v-for="side in ['wentIn', 'cameOut'] as const" :key="side" class="whitespace-nowrap text-center">
            <IconButton
              :icon="Minus"
              round
              :says="`One less ${side === 'wentIn' ? 'in' : 'out'}: ${each.name}`"
              @click="set(side, each.id, (side === 'wentIn' ? went : came) - 1)"
            />
            <span
              class="inline-block w-7 font-semibold"
              :class="side === 'cameOut' && !each.stays && came < went ? 'text-stop' : ''"
              >{{ side === 'wentIn' ? went : came }}</span
            >
            <IconButton
              :icon="Plus"
              round
              :says="`One more ${side === 'wentIn' ? 'in' : 'out'}: ${each.name}`"
              @click="set(side, each.id, (side === 'wentIn' ? went : came) + 1)"
            />
            <button
              v-if="side === 'cameOut' && !each.stays && went > 0 && came < went"
              type="button"
              class="figure-link ml-1 text-[0.84rem]"
              :aria-label="`All out: ${each.name}`"
              @click="set('cameOut', each.id, went)"
            >
              all
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
