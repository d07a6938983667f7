<script setup lang="ts">
import { computed, ref } from 'vue'

import type { Figure, Schemas } from '@/shared/api/client'
import WorkingPanel from '@/shared/figures/WorkingPanel.vue'

/** Limits of bolt and nut in both units at once; pressing one opens its working. */
const props = defineProps<{ card: Schemas['CardShown'] }>()
const asked = ref<Figure | null>(null)
const SIDES = { external: 'Bolt', internal: 'Nut' } as const
const sides = computed(() =>
  (['external', 'internal'] as const)
    .map((side) => ({
      side,
      name: SIDES[side],
      of: props.card[side],
      rows: props.card.limits.filter((row) => row.side === side),
    }))
    .filter((s) => s.rows.length),
)
const ask = (figure: Figure) => (asked.value = asked.value === figure ? null : figure)
</script>

<template>
  <section class="limits" aria-label="Limits of size">
    <div class="tables">
      <table v-for="s in sides" :key="s.side">
        <caption>
          {{
            s.name
          }}
          <span class="muted small">class</span
          >&nbsp;<span class="fig">{{ s.of?.class_name }}</span>
        </caption>
        <thead>
          <tr>
            <th scope="col"></th>
            <th scope="col" colspan="2">min</th>
            <th scope="col" colspan="2">max</th>
          </tr>
          <tr class="units">
            <th scope="col"><span class="sr">diameter</span></th>
            <th scope="col">in</th>
            <th scope="col">mm</th>
            <th scope="col">in</th>
            <th scope="col">mm</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in s.rows" :key="row.name">
            <th scope="row">{{ row.name }}</th>
            <template v-for="(figure, n) in [row.least, row.greatest]" :key="n">
              <td v-for="unit in ['inch', 'mm'] as const" :key="unit">
                <button
                  v-if="figure"
                  type="button"
                  class="cell fig"
                  :class="{ own: (card.unit === 'in') === (unit === 'inch') }"
                  :title="`Show how ${figure.name} is worked out`"
                  @click="ask(figure)"
                >
                  {{ figure.shown[unit].text }}
                </button>
                <span v-else class="muted">–</span>
              </td>
            </template>
          </tr>
        </tbody>
      </table>
    </div>
    <WorkingPanel v-if="asked" :figure="asked" />
    <p
      v-for="note in [...(card.external?.notes ?? []), ...(card.internal?.notes ?? [])]"
      :key="note"
      class="small"
    >
      ◆ {{ note }}
    </p>
  </section>
</template>

<style scoped>
.limits {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}
.tables {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 32px;
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
caption {
  text-align: left;
  font-weight: 700;
  font-size: var(--s20);
  padding-bottom: 4px;
}
th {
  text-align: right;
  font-weight: 400;
  color: var(--muted);
  font-size: var(--s14);
  padding: 0 8px;
}
thead tr:first-child th {
  text-align: center;
}
tbody th {
  text-align: left;
  color: var(--ink);
  font-size: var(--s16);
  padding-left: 0;
}
td {
  text-align: right;
  border-top: 1px solid var(--line);
}
tbody th {
  border-top: 1px solid var(--line);
}
.cell {
  border: 0;
  background: none;
  padding: 4px 8px;
  cursor: pointer;
  color: var(--muted);
}
@media (pointer: coarse) {
  .cell {
    min-height: 44px;
  }
}
.cell.own {
  color: var(--ink);
  font-weight: 700;
}
.cell:hover {
  color: var(--lagoon);
}
@media (max-width: 500px) {
  th {
    padding: 0 4px;
  }
  .cell {
    padding: 4px 4px;
  }
}
</style>
