<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

defineProps<{ readings: Schemas['ReadingShown'][] }>()
const { told } = useUnits()
</script>

<template>
  <table>
    <caption class="muted small">
      Readings, this piece, all on the diameter
    </caption>
    <thead>
      <tr class="muted small">
        <th scope="col">dialled</th>
        <th scope="col">came off</th>
        <th scope="col">reading</th>
      </tr>
    </thead>
    <tbody class="fig">
      <tr v-for="(row, n) in readings.slice(-4)" :key="n">
        <td :class="{ muted: !row.stated }" :title="row.stated ? 'as you said' : 'as was asked for'">
          {{ row.dialled ? told(row.dialled).text : '' }}
        </td>
        <td>{{ row.came_off ? told(row.came_off).text : '' }}</td>
        <td>{{ told(row.reading).text }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
caption {
  text-align: left;
}
th,
td {
  text-align: right;
  font-weight: 400;
  padding: 2px 0 2px 12px;
}
td {
  font-size: var(--s20);
}
</style>
