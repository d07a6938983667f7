<script setup lang="ts">
import { moments } from '@/shared/figures/dates'
import type { Schemas } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** Entries newest first: when, which job and piece, what was said. */
defineProps<{ entries: Schemas['LogEntry'][] }>()
const { text } = useUnits()
</script>

<template>
  <table>
    <thead class="sr">
      <tr>
        <th scope="col">When</th>
        <th scope="col">Job</th>
        <th scope="col">Thread</th>
        <th scope="col">Piece</th>
        <th scope="col">Step</th>
        <th scope="col">Record</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="entry in entries" :key="entry.id">
        <td class="muted small when">{{ moments.format(new Date(entry.at)) }}</td>
        <td class="job">
          <router-link :to="{ name: 'plan', params: { id: entry.job_id } }">{{ entry.job }}</router-link>
        </td>
        <td class="fig small when">{{ entry.thread }}</td>
        <td class="muted when">{{ entry.part ? `${entry.part}, ` : '' }}piece {{ entry.piece }}</td>
        <td class="muted">{{ entry.step }}</td>
        <td>
          {{ entry.what }}
          <template v-if="entry.reading && entry.said">{{ entry.said }}</template>
          <span v-if="entry.reading" class="fig strong">{{ text(entry.reading) }}</span>
          <span v-if="entry.aim" class="muted small"> target {{ text(entry.aim) }}</span>
          <span v-if="entry.dialled" class="muted small"> dialled {{ text(entry.dialled) }}</span>
          <strong v-if="entry.said && !entry.reading">{{ entry.said }}</strong>
          <span v-if="entry.device" class="muted small"> on {{ entry.device }}</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 8px 12px 8px 0;
  border-bottom: 1px solid var(--line);
  vertical-align: baseline;
}
.when {
  white-space: nowrap;
}
.job {
  min-width: 16.8em;
}
.strong {
  font-weight: 700;
}
a {
  color: var(--ink);
}
@media (max-width: 600px) {
  tr {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 12px;
    padding: 8px 0;
    border-bottom: 1px solid var(--line);
  }
  td {
    padding: 0;
    border: 0;
  }
  .job {
    flex: 1 0 100%;
    min-width: 0;
    order: -1;
    font-weight: 700;
  }
}
</style>
