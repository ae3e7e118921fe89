<script setup lang="ts">
import { definePageMeta } from '#imports'

definePageMeta({ redirect: '/arrange' })
</script>

<template>
  <div />
</template>
