<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** What others did to the job that this screen had not shown: it shows it now. */
defineProps<{ told: Schemas['Meanwhile'] }>()
const { text } = useUnits()
const HOST = 'the host'
</script>

<template>
  <section class="meanwhile" role="status" aria-label="Meanwhile">
    <strong>◌ Changed on another device</strong>
    <ul>
      <li v-if="told.changed">The plan was changed.</li>
      <li v-if="told.taken_back">
        <span class="muted">{{ told.taken_back_on || HOST }}:</span> the last record was undone
      </li>
      <li v-for="entry in told.entries" :key="entry.id">
        <span class="muted">{{ entry.device || HOST }}:</span>
        {{ entry.step }} · {{ entry.what }}
        <span v-if="entry.reading" class="fig">{{ text(entry.reading) }}</span>
        {{ entry.reading ? '' : entry.said }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
.meanwhile {
  display: flex;
  gap: 12px;
  align-items: baseline;
  border-left: 5px solid var(--lagoon);
  background: var(--quiet);
  border-radius: 0 var(--round) var(--round) 0;
  padding: 8px 16px;
  max-height: 7.5em;
  overflow-y: auto;
}
strong {
  white-space: nowrap;
  color: var(--lagoon);
}
</style>
