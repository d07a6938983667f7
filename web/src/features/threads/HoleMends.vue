<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import FigureValue from '@/shared/figures/FigureValue.vue'

/** Ways to make a stripped hole good, the simplest first. */
defineProps<{ mends: Schemas['MendShown'][] }>()
</script>

<template>
  <details class="mends">
    <summary>Repair a stripped hole</summary>
    <table>
      <thead>
        <tr class="small muted">
          <th scope="col">repair</th>
          <th scope="col">tap</th>
          <th scope="col">drill</th>
          <th scope="col">minimum wall</th>
          <th scope="col">screw</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in mends" :key="one.code">
          <th scope="row">
            {{ one.name }}<span class="small muted remark">{{ one.remark }}</span>
          </th>
          <td class="fig" data-is="tap">{{ one.tapped }}</td>
          <td class="fig" data-is="drill">{{ one.drill || 'bore it' }}</td>
          <td data-is="minimum wall"><FigureValue :figure="one.needs" /></td>
          <td class="fig" data-is="takes">{{ one.screw }}</td>
        </tr>
      </tbody>
    </table>
    <p class="small muted">
      If the screw carries load or pressure, or pulled out by fatigue, find the cause before you repair it.
    </p>
  </details>
</template>

<style scoped>
summary {
  font-weight: 700;
}
table {
  border-collapse: collapse;
  margin-top: 8px;
  width: 100%;
}
th,
td {
  text-align: left;
  vertical-align: top;
  font-weight: 400;
  padding: 4px 12px 4px 0;
  border-bottom: 1px solid var(--line);
}
tbody th {
  font-weight: 700;
}
.remark {
  display: block;
  font-weight: 400;
}
td.fig {
  white-space: nowrap;
}
@media (max-width: 900px) {
  td.fig {
    white-space: normal;
  }
}
/* On a phone each mend stands by itself, its sizes named. */
@media (max-width: 500px) {
  thead {
    display: none;
  }
  tbody tr {
    display: flex;
    flex-wrap: wrap;
    gap: 0 12px;
    border-bottom: 1px solid var(--line);
  }
  tbody th,
  tbody td {
    border: 0;
  }
  tbody th {
    flex-basis: 100%;
  }
  td::before {
    content: attr(data-is) ' ';
    font: var(--s14) var(--words);
    color: var(--muted);
  }
}
</style>
