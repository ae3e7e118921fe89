<template>
  <p role="status" class="text-ink-soft">Laying out the demo…</p>
</template>
