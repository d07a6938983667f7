<script setup lang="ts">
import { computed, ref, watch } from 'vue'

import type { Figure, Schemas } from '@/shared/api/client'
import FigureValue from '@/shared/figures/FigureValue.vue'
import WorkingPanel from '@/shared/figures/WorkingPanel.vue'

/** Before metal is cut: the odds at a setting of the die, and at the next ones either way. */
const props = defineProps<{ odds: readonly Schemas['OddsShown'][]; expected: Figure; over: string }>()
const asked = ref<Figure | null>(null)
watch(
  () => props.odds,
  () => (asked.value = null),
)
const ask = (figure: Figure) => (asked.value = asked.value === figure ? null : figure)
/** Whether it is tried in a mate at all: gauges of the limits speak of the class alone. */
const mate = computed(() => props.odds.find((one) => one.goes_on)?.goes_on?.name)
</script>

<template>
  <div class="whole">
    <table aria-label="Odds before the cut">
      <thead>
        <tr>
          <th scope="col">die setting</th>
          <th scope="col">chance of being in class</th>
          <th v-if="mate" scope="col">{{ mate }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in odds" :key="one.words" :class="{ here: one.here }">
          <th scope="row">{{ one.here ? '▸ ' : '' }}{{ one.words }}</th>
          <td>
            <FigureValue :figure="one.within" :open="asked === one.within" @working="ask(one.within)" />
          </td>
          <td v-if="one.goes_on">
            <FigureValue :figure="one.goes_on" :open="asked === one.goes_on" @working="ask(one.goes_on)" />
          </td>
        </tr>
      </tbody>
    </table>
    <FigureValue
      :figure="expected"
      :label="`expected size, ${over}`"
      :open="asked === expected"
      @working="ask(expected)"
    />
    <WorkingPanel v-if="asked" :figure="asked" />
  </div>
</template>

<style scoped>
.whole {
  display: grid;
  gap: 4px;
}
table {
  border-collapse: collapse;
  justify-self: start;
}
th,
td {
  text-align: left;
  padding: 0 24px 0 0;
  font-weight: 400;
}
thead th {
  color: var(--muted);
  font-size: var(--s14);
}
.here th {
  font-weight: 700;
}
tr:not(.here) :deep(.fig) {
  font-size: var(--s16);
}
@media (max-width: 600px) {
  th,
  td {
    padding-right: 12px;
  }
}
</style>
