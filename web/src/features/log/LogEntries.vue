<script setup lang="ts">
import { computed } from 'vue'

import { clocks, days } from '@/shared/figures/dates'
import type { Schemas } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** Entries newest first, those of a day and a job together: when, which piece and step, what was recorded. */
const props = defineProps<{ entries: Schemas['LogEntry'][] }>()
const { text } = useUnits()
/** Those that follow each other, of one day and one job. */
const groups = computed(() => {
  const found: { day: string; id: number; job: string; entries: Schemas['LogEntry'][] }[] = []
  for (const entry of props.entries) {
    const day = days.format(new Date(entry.at))
    const last = found.at(-1)
    if (last?.day === day && last.id === entry.job_id) last.entries.push(entry)
    else found.push({ day, id: entry.job_id, job: entry.job, entries: [entry] })
  }
  return found
})
</script>

<template>
  <table>
    <thead class="sr">
      <tr>
        <th scope="col">Time</th>
        <th scope="col">Piece</th>
        <th scope="col">Thread</th>
        <th scope="col">Step</th>
        <th scope="col">Record</th>
      </tr>
    </thead>
    <tbody v-for="group in groups" :key="`${group.day} ${group.entries[0]?.id}`">
      <tr class="head">
        <th colspan="5" scope="rowgroup">
          <span class="muted small when">{{ group.day }}</span>
          <router-link :to="{ name: 'plan', params: { id: group.id } }">{{ group.job }}</router-link>
        </th>
      </tr>
      <tr v-for="entry in group.entries" :key="entry.id">
        <td class="muted small when">{{ clocks.format(new Date(entry.at)) }}</td>
        <td class="muted when">{{ entry.part ? `${entry.part}, ` : '' }}piece {{ entry.piece }}</td>
        <td class="fig small when">{{ entry.thread }}</td>
        <td class="muted">{{ entry.step }}</td>
        <td class="record">
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
th,
td {
  padding: 4px 24px 4px 0;
  text-align: left;
  vertical-align: baseline;
}
.head th {
  padding-top: 12px;
  font-weight: 700;
  border-top: 1px solid var(--line);
}
.head .when {
  margin-right: 16px;
  font-weight: 400;
}
tbody:first-of-type .head th {
  border-top: 0;
}
tbody tr:last-child td {
  padding-bottom: 12px;
}
.when {
  white-space: nowrap;
}
.record {
  width: 50%;
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
    gap: 0 12px;
    padding: 4px 0;
  }
  th,
  td,
  tbody tr:last-child td {
    padding: 0;
  }
  .head th {
    flex: 1 0 100%;
  }
  .record {
    flex: 1 0 100%;
  }
}
</style>
