<script setup lang="ts">
import { useTurn } from '~/composables/turn'

/** A part of a leaf that comes once what stands above it is painted. */
const hasTurn = useTurn()
</script>

<template>
  <slot v-if="hasTurn" />
  <span v-else hidden data-later />
</template>
