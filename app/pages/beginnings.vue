<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from '#imports'
import { cakeRoom, sceneOf } from '#core/plan'
import { useBeginnings, type ShownBeginning } from '~/components/arrange/useBeginnings'
import { useChosenDecoration } from '~/components/arrange/chosen'
import CakeStill from '~/components/stand/CakeStill.vue'
import { roomForAll, wholeCake } from '~/components/stand/wholeCake'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import { usePlanned } from '~/composables/planned'

const { option, editOption } = usePlanned()
const { choose } = useChosenDecoration(() => option.value)
const router = useRouter()
const shown = useBeginnings()

/** One window for all, so that they stand at the same scale. */
const whole = computed(() =>
  wholeCake(roomForAll(shown.value.map(({ commission, plan }) => cakeRoom(commission, plan)))),
)

function layOn({ point }: ShownBeginning): void {
  editOption(point.name.toLowerCase(), (each) => {
    Object.assign(each, point.on(each.cake))
  })
  choose(option.value.decorations[0]?.id ?? '')
  void router.push('/arrange')
}

const sheetsOf = ({ plan }: ShownBeginning): string => plan.tally.find(({ id }) => id === 'paper')?.beside ?? ''
</script>

<template>
  <div>
    <LeafHeading title="Beginnings"
      >Composed on your own tiers. Lay one on, then pull, shuffle and pin it into yours. It takes the place of what is
      on the cake; undo brings that back.</LeafHeading
    >
    <ul class="grid grid-cols-2 gap-x-5 gap-y-6 md:grid-cols-3 xl:grid-cols-4" data-testid="beginnings">
      <li v-for="each in shown" :key="each.point.id" class="flex flex-col" :data-beginning="each.point.id">
        <CakeStill
          class="rounded-2xl bg-paper-deep/60"
          :scene="sceneOf(each.option, each.plan)"
          v-bind="whole"
          :says="`${each.point.name} on your tiers`"
        />
        <h2 class="part-title mt-1.5">{{ each.point.name }}</h2>
        <p class="flex-1 text-[0.88rem] text-ink-soft">{{ each.point.say }}</p>
        <p class="mt-1 flex items-center justify-between gap-2">
          <span class="text-[0.86rem]">{{ sheetsOf(each) }}</span><button
            type="button"
            class="button min-h-9 shrink-0 px-3 text-[0.88rem] whitespace-nowrap"
            @click="layOn(each)"
          >
            Lay it on
          </button>
        </p>
      </li>
    </ul>
    <p v-if="shown.length === 0" role="status" class="text-ink-soft">Laying them on your tiers…</p>
  </div>
</template>
