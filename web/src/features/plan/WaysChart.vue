<script setup lang="ts">
import { computed } from 'vue'

import type { Schemas } from '@/shared/api/client'

/** Minutes over the number of pieces, a line for each way: where two cross, the other is quicker from there on. */
const props = defineProps<{ chart: Schemas['Chart']; taken: string; pieces: number }>()
const WIDE = 560
const HIGH = 220
const LEFT = 62
const RIGHT = 18
const FOOT = 40
const TOP = 20
/** Each line has marks of its own: colour is never the only carrier. */
const DASHES = ['', '9 5', '2 4', '12 4 2 4', '5 3']

const last = computed(() => props.chart.pieces.at(-1) ?? 1)
const most = computed(() => Math.max(1, ...props.chart.lines.flatMap((line) => line.minutes)))
const x = (count: number) => LEFT + (count / last.value) * (WIDE - LEFT - RIGHT)
const y = (minutes: number) => HIGH - FOOT - (minutes / most.value) * (HIGH - FOOT - TOP)
const lines = computed(() =>
  props.chart.lines.map((line, at) => ({
    ...line,
    dash: DASHES[at % DASHES.length],
    points: line.minutes.map((minutes, n) => `${x(props.chart.pieces[n] ?? 0)},${y(minutes)}`).join(' '),
  })),
)
const round = (span: number) => {
  const unit = 10 ** Math.floor(Math.log10(span / 4))
  return [1, 2, 5, 10].map((n) => n * unit).find((step) => span / step <= 5) ?? span
}
const ticks = (span: number) => {
  const step = Math.max(1, round(span))
  return Array.from({ length: Math.floor(span / step) }, (_, n) => (n + 1) * step)
}
</script>

<template>
  <figure class="chart">
    <svg
      :viewBox="`0 0 ${WIDE} ${HIGH}`"
      role="img"
      :aria-label="`Total minutes against number of pieces: ${chart.lines.map((line) => line.name).join(', ')}`"
    >
      <path class="axis" :d="`M${LEFT} ${TOP}V${HIGH - FOOT}H${WIDE - RIGHT}`" />
      <path
        v-if="pieces <= last"
        class="wanted"
        :d="`M${x(pieces)} ${TOP}V${HIGH - FOOT}`"
        stroke-dasharray="3 4"
      />
      <text v-if="pieces <= last" class="piece" :x="x(pieces)" :y="TOP - 2">{{ pieces }} wanted</text>
      <polyline
        v-for="line in lines"
        :key="line.code"
        class="line"
        :class="{ taken: line.code === taken }"
        :points="line.points"
        :stroke-dasharray="line.dash"
      />
      <text v-for="count in ticks(last)" :key="`n${count}`" class="piece" :x="x(count)" :y="HIGH - 22">
        {{ count }}
      </text>
      <text
        v-for="minutes in ticks(most)"
        :key="`m${minutes}`"
        class="minutes"
        :x="LEFT - 8"
        :y="y(minutes) + 5"
      >
        {{ minutes }}
      </text>
      <text class="piece" :x="(LEFT + WIDE - RIGHT) / 2" :y="HIGH - 4">pieces</text>
      <text class="minutes" :x="LEFT - 8" :y="HIGH - FOOT + 16">min</text>
    </svg>
    <figcaption>
      <span v-for="line in lines" :key="line.code" class="key">
        <svg width="34" height="10" aria-hidden="true">
          <path
            class="line"
            :class="{ taken: line.code === taken }"
            d="M1 5H33"
            :stroke-dasharray="line.dash"
          />
        </svg>
        {{ line.name }}
      </span>
    </figcaption>
  </figure>
</template>

<style scoped>
.chart {
  margin: 0;
  max-width: 620px;
}
.chart > svg {
  width: 100%;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  font-size: var(--s14);
}
.key {
  display: inline-flex;
  gap: 4px;
  align-items: center;
}
.axis,
.wanted {
  fill: none;
  stroke: var(--muted);
}
.line {
  fill: none;
  stroke: var(--lagoon);
  stroke-width: 1.6;
}
.line.taken {
  stroke: var(--lagoon);
  stroke-width: 2.4;
}
text {
  fill: var(--ink);
  font-family: var(--figures);
  font-size: var(--s14);
}
.minutes {
  text-anchor: end;
}
.piece {
  text-anchor: middle;
}
</style>
