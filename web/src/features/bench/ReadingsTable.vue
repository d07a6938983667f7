<script setup lang="ts">
import type { SizeNow } from '@/features/bench/projected'
import { useUnits } from '@/shared/figures/useUnits'

defineProps<{ readings: SizeNow['readings']; name: string }>()
const { told } = useUnits()
</script>

<template>
  <table>
    <caption class="sr">
      Readings, this piece:
      {{
        name === 'diameter' ? 'all as diameters' : name
      }}
    </caption>
    <thead>
      <tr class="muted small">
        <th scope="col">dialled</th>
        <th scope="col">came off</th>
        <th scope="col">reading</th>
      </tr>
    </thead>
    <tbody class="fig">
      <tr v-for="(row, n) in readings.slice(-3)" :key="n">
        <td :class="{ muted: !row.stated }" :title="row.stated ? 'as you typed it' : 'as shown by Conch'">
          {{ row.dialled ? told(row.dialled).text : '' }}
        </td>
        <td>{{ row.came_off ? told(row.came_off).text : '' }}</td>
        <td>
          <span v-if="row.waits" class="small" title="not sent yet">◌ not sent</span>
          <span v-if="row.by" class="by" :title="row.by">{{ row.by }}</span>
          {{ told(row.reading).text }}
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
  text-align: right;
  font-weight: 400;
  padding: 4px 0 4px 12px;
}
td {
  font-size: var(--s20);
}
.by {
  display: inline-block;
  max-width: 9em;
  overflow: hidden;
  text-overflow: ellipsis;
  vertical-align: bottom;
  color: var(--muted);
  font: var(--s13, 13px) / 1.9 inherit;
  white-space: nowrap;
}
/* A low screen holds the figure, the field and the button without scrolling: the last two readings do. */
@media (max-height: 790px) {
  tbody tr:nth-last-child(n + 3) {
    display: none;
  }
}
</style>
