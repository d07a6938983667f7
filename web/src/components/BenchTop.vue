<script setup lang="ts">
import { computed } from 'vue'

import type { Bench } from '@/api/client'
import ThreadBar from '@/components/ThreadBar.vue'

/** The bar of progress and the piece in hand. */
const props = defineProps<{ bench: Bench }>()
const at = computed(() => props.bench.steps.filter((s) => s.state === 'done').length)
const piece = computed(() => Math.min(props.bench.good + 1, props.bench.quantity))
const query = computed(() => (props.bench.part > 1 ? { part: props.bench.part } : {}))
</script>

<template>
  <header class="top">
    <router-link class="job" :to="{ name: 'plan', params: { id: bench.id }, query }"
      >{{ bench.title
      }}<span v-if="bench.parts.length > 1" class="part">
        {{ bench.part }} of {{ bench.parts.length }}: {{ bench.parts[bench.part - 1]?.name }}</span
      ></router-link
    >
    <ThreadBar
      class="bar"
      :total="bench.steps.length"
      :done="at"
      :now="1"
      :label="`${at} of ${bench.steps.length} steps of this piece done`"
    />
    <span class="muted">{{ bench.finished ? 'all steps' : `step ${at + 1} of ${bench.steps.length}` }}</span>
    <span class="piece"
      >piece <strong class="fig">{{ piece }}</strong> <span class="muted">of {{ bench.quantity }}</span
      ><span v-if="bench.scrapped" class="scrap"> ▲ {{ bench.scrapped }} scrapped</span></span
    >
  </header>
</template>

<style scoped>
.top {
  display: grid;
  grid-template-columns: auto minmax(80px, 1fr) auto auto;
  gap: 24px;
  align-items: center;
}
.job {
  color: var(--ink);
  font-weight: 700;
  font-size: var(--s20);
  text-decoration: none;
  max-width: 34vw;
}
.part {
  display: block;
  color: var(--coral);
}
.piece {
  font-size: var(--s28);
  white-space: nowrap;
}
.scrap {
  color: var(--caution);
  font-size: var(--s16);
}
@media (max-width: 900px) {
  .top {
    grid-template-columns: 1fr auto;
    gap: 8px 20px;
  }
  .bar {
    grid-row: 2;
  }
  .job {
    max-width: none;
  }
}
</style>
