<script setup lang="ts">
import { computed } from 'vue'
import { NuxtLink } from '#components'
import type { Caution } from '#core/care'
import { chosenOption } from '#core/commission'
import { useChosenDecoration } from '~/components/arrange/chosen'
import { LEAF_TABS } from '~/components/leaves'
import CautionList from '~/components/ui/CautionList.vue'
import SheetDialog from '~/components/ui/SheetDialog.vue'
import { useStudio } from '~/stores/studio'

/** What needs a look, worst first: why, where it is, and what can be done at once. */
const emit = defineEmits<{ close: [] }>()

const studio = useStudio()
const { choose } = useChosenDecoration(() => chosenOption(studio.commission!))
const found = computed(() => (studio.plan?.cautions ?? []).filter(({ severity }) => severity !== 'note'))

/** What the decoration is called that it is about; nothing where it is about the whole cake. */
const nameOf = ({ decoration }: Caution): string =>
  studio.plan?.decorations.find(({ id }) => id === decoration)?.name ?? ''
const leafName = ({ leaf }: Caution): string => LEAF_TABS.find((tab) => tab.leaf === leaf)!.name

/** Turns to the leaf, with the decoration open that it is about. */
function turnTo({ decoration }: Caution): void {
  if (decoration !== undefined) choose(decoration)
  emit('close')
}
</script>

<template>
  <SheetDialog title="Needs a look" width="narrow" @close="emit('close')">
    <div data-testid="needs-a-look">
      <p v-if="found.length === 0" class="text-[1.05rem]">All in order: nothing needs a look.</p>
      <CautionList :cautions="found">
        <template #where="{ caution }">
          <NuxtLink :to="`/${caution.leaf}`" class="figure-link font-semibold" @click="turnTo(caution)"
            >{{ leafName(caution) }}<template v-if="nameOf(caution)">: {{ nameOf(caution) }}</template></NuxtLink
          >
        </template>
      </CautionList>
    </div>
  </SheetDialog>
</template>
