<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'

/** An address as a picture for the camera of a tablet: dark on light in every theme, or no camera reads it. */
defineProps<{ picture: Schemas['Picture']; label: string }>()
</script>

<template>
  <svg class="code" :viewBox="`0 0 ${picture.side} ${picture.side}`" role="img" :aria-label="label">
    <path :d="picture.path" />
  </svg>
</template>

<style scoped>
.code {
  width: 240px;
  max-width: 100%;
  background: #ffffff;
  fill: #000000;
  border-radius: var(--round);
  shape-rendering: crispedges;
}
</style>
