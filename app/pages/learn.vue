<script setup lang="ts">
import { Printer } from '@lucide/vue'
import KnownList from '~/components/learn/KnownList.vue'
import LedgerList from '~/components/learn/LedgerList.vue'
import { afterFigures } from '~/composables/afterFigures'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import LeafPart from '~/components/ui/LeafPart.vue'

const ReviewSection = afterFigures(() => import('~/components/learn/ReviewSection.vue'))
const TrialForm = afterFigures(() => import('~/components/learn/TrialForm.vue'))

const print = (): void => window.print()
</script>

<template>
  <div>
    <div class="flex items-start justify-between gap-4">
      <LeafHeading title="What your own trials say"
        >Each replaces a starting value once there are enough of them. One that went wrong counts less by itself; mark
        it odd and it does not count at all.</LeafHeading
      >
      <button type="button" class="button no-print shrink-0" @click="print">
        <Printer class="size-4.5" aria-hidden="true" />Print
      </button>
    </div>
    <div class="grid gap-x-9 gap-y-7 xl:grid-cols-[1fr_20rem]">
      <div class="grid min-w-0 content-start gap-7">
        <ReviewSection /><LeafPart><KnownList /></LeafPart>
      </div>
      <div class="no-print grid content-start gap-6">
        <LeafPart><TrialForm /></LeafPart><LeafPart><LedgerList /></LeafPart>
      </div>
    </div>
  </div>
</template>
