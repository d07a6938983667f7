<script setup lang="ts">
import { ref } from 'vue'

import type { Figure } from '@/shared/api/client'
import FigureValue from '@/shared/figures/FigureValue.vue'
import WorkingPanel from '@/shared/figures/WorkingPanel.vue'

/** Figures side by side, or a line each as a `list`; pressing one opens its working under them. */
defineProps<{ figures: { label: string; figure: Figure }[]; list?: boolean }>()
const asked = ref<Figure | null>(null)
const ask = (figure: Figure) => (asked.value = asked.value === figure ? null : figure)
</script>

<template>
  <div class="row" :class="{ list }">
    <FigureValue
      v-for="f in figures"
      :key="f.label"
      :figure="f.figure"
      :label="f.label"
      :open="asked === f.figure"
      @working="ask(f.figure)"
    />
  </div>
  <WorkingPanel v-if="asked && figures.some((f) => f.figure === asked)" :figure="asked" />
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
}
.list {
  display: grid;
  gap: 0;
}
.list > * {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
</style>
