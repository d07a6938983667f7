<script setup lang="ts">
import ShopServes from '@/shared/jobs/ShopServes.vue'
import { computed } from 'vue'

import type { Schemas } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'
import FittersOnly from '@/shared/controls/FittersOnly.vue'

/** A thread it may be: how probable, and what speaks for it and against it. */
const props = defineProps<{ candidate: Schemas['CandidateShown']; open: boolean; first: boolean }>()
const emit = defineEmits<{ toggle: []; take: [] }>()
const { text, words } = useUnits()
const NAMES: Record<string, string> = {
  outside: 'outside',
  bore: 'bore',
  leaf: 'pitch gauge',
  counted: 'threads counted',
  angle: 'flank angle',
  taper: 'taper',
  mate: 'mate',
  marking: 'marking',
}
const percent = computed(() => {
  const p = props.candidate.probability * 100
  return p >= 99.5 ? '99+' : p >= 1 ? p.toFixed(0) : p >= 0.05 ? p.toFixed(1) : '<0.1'
})
/** A shape beside the word. */
const MARKS = { for: '+', against: '−', 'either way': '·' } as const
</script>

<template>
  <li class="candidate" :class="{ first }">
    <button type="button" class="row" :aria-expanded="open" @click="emit('toggle')">
      <span class="percent fig">{{ percent }} %</span>
      <span class="bar" aria-hidden="true"
        ><span :style="{ width: `${candidate.probability * 100}%` }"
      /></span>
      <span class="name fig">{{ candidate.designation }}</span>
      <span class="muted small"
        >{{ candidate.series }}, {{ candidate.angle_deg }}°, major diameter {{ text(candidate.major) }},
        {{ candidate.pitches
        }}<template v-if="candidate.also?.length">; also {{ candidate.also.join(', ') }}</template></span
      >
    </button>
    <div v-if="open" class="why">
      <table v-if="candidate.reasons.length">
        <thead>
          <tr>
            <th scope="col">check</th>
            <th scope="col">yours</th>
            <th scope="col">expected</th>
            <th scope="col">for or against</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="reason in candidate.reasons" :key="reason.evidence">
            <td>{{ NAMES[reason.evidence] ?? reason.evidence }}</td>
            <td class="fig">{{ reason.measured }}</td>
            <td class="fig">{{ words(reason.expected) }}</td>
            <td>
              {{ MARKS[reason.speaks] }} {{ reason.speaks
              }}<template v-if="reason.strength">, {{ reason.strength }}</template>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-for="note in candidate.notes" :key="note" class="note">◆ {{ note }}</p>
      <ShopServes :thread="candidate.designation" />
      <p class="ways">
        <FittersOnly
          ><v-btn
            :color="first ? 'secondary' : undefined"
            :variant="first ? 'flat' : 'outlined'"
            @click="emit('take')"
            >Start a job with this thread</v-btn
          ></FittersOnly
        >
        <router-link :to="{ name: 'threads', query: { q: candidate.designation } }"
          >Open the thread page</router-link
        >
      </p>
    </div>
  </li>
</template>

<style scoped>
.candidate {
  border-bottom: 1px solid var(--line);
}
.row {
  border: 0;
  background: none;
  cursor: pointer;
  width: 100%;
  display: grid;
  grid-template-columns: 4.5em 120px 9em minmax(0, 1fr);
  gap: 4px 16px;
  align-items: baseline;
  padding: 8px 4px;
  text-align: left;
}
.percent {
  text-align: right;
}
.bar {
  height: 10px;
  background: var(--quiet);
  border: 1px solid var(--line);
  align-self: center;
}
.bar span {
  display: block;
  height: 100%;
  background: var(--lagoon);
}
.name {
  font-weight: 700;
}
.first .percent,
.first .name {
  font-size: var(--s20);
}
.why {
  padding: 4px 4px 12px;
  display: grid;
  gap: 8px;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--muted);
  font-size: var(--s14);
}
td {
  padding: 4px 16px 4px 0;
}
.note {
  color: var(--caution);
}
.ways {
  display: flex;
  gap: 16px;
  align-items: center;
}
@media (max-width: 1000px) {
  .row {
    grid-template-columns: 4.5em minmax(0, 1fr);
  }
  .bar {
    display: none;
  }
  .row .muted {
    grid-column: 2;
  }
}
</style>
