<script setup lang="ts">
import { computed } from 'vue'

import type { Schemas } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** A size from piece to piece between its limits; those outside are crosses. */
const props = defineProps<{ series: Schemas['SizeSeries']; quantity: number }>()
const { told, text } = useUnits()
const WIDE = 560
const HIGH = 190
const LEFT = 84
const RIGHT = 14
const FOOT = 26
const sizes = computed(() => props.series.points.map((point) => point.mm))
const top = computed(() => Math.max(props.series.high_mm, ...sizes.value))
const low = computed(() => Math.min(props.series.low_mm, ...sizes.value))
const last = computed(() => Math.max(props.quantity, ...props.series.points.map((point) => point.piece)))
const x = (piece: number) => LEFT + ((piece - 0.5) / last.value) * (WIDE - LEFT - RIGHT)
const y = (mm: number) => 14 + ((top.value - mm) / (top.value - low.value || 1)) * (HIGH - FOOT - 28)
const line = computed(() => props.series.points.map((one) => `${x(one.piece)},${y(one.mm)}`).join(' '))
const marks = computed(() => [
  { mm: props.series.high_mm, words: told(props.series.high).text },
  { mm: props.series.aim_mm, words: told(props.series.aim).text },
  { mm: props.series.low_mm, words: told(props.series.low).text },
])
const pieces = computed(() => {
  const step = Math.ceil(last.value / 12)
  return Array.from({ length: last.value }, (_, n) => n + 1).filter((n) => n === 1 || n % step === 0)
})
</script>

<template>
  <figure class="chart">
    <figcaption>
      {{ series.title }}: {{ series.name }}
      <strong v-if="series.leaves_at" class="leaves" role="status"
        >▲ At this drift piece {{ series.leaves_at }} will be out of limits. Adjust before piece
        {{ series.leaves_at }}.</strong
      >
      <span v-else-if="series.drifts && series.drift" class="muted"
        >Drift {{ text(series.drift.shown) }} per piece, stays within limits</span
      >
    </figcaption>
    <svg
      :viewBox="`0 0 ${WIDE} ${HIGH}`"
      role="img"
      :aria-label="`${series.name} of ${series.points.length} pieces, ${series.points.filter((one) => !one.within).length} out of limits`"
    >
      <rect
        class="band"
        :x="LEFT"
        :y="y(series.high_mm)"
        :width="WIDE - LEFT - RIGHT"
        :height="y(series.low_mm) - y(series.high_mm)"
      />
      <path class="aim" :d="`M${LEFT} ${y(series.aim_mm)}H${WIDE - RIGHT}`" />
      <polyline class="line" :points="line" />
      <g v-for="point in series.points" :key="point.piece">
        <title>piece {{ point.piece }}: {{ text(point.size) }}</title>
        <circle v-if="point.within" class="within" :cx="x(point.piece)" :cy="y(point.mm)" r="5" />
        <path v-else class="outside" :d="`M${x(point.piece) - 6} ${y(point.mm) - 6}l12 12m0 -12l-12 12`" />
      </g>
      <text v-for="mark in marks" :key="mark.mm" class="size" :x="LEFT - 8" :y="y(mark.mm) + 5">
        {{ mark.words }}
      </text>
      <text v-for="piece in pieces" :key="piece" class="piece" :x="x(piece)" :y="HIGH - 6">{{ piece }}</text>
    </svg>
  </figure>
</template>

<style scoped>
.chart {
  margin: 0;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}
.leaves {
  color: var(--caution);
}
svg {
  width: 100%;
  max-width: 760px;
}
.band {
  fill: var(--lagoon);
  opacity: 0.14;
}
.aim {
  stroke: var(--muted);
  stroke-dasharray: 6 5;
}
.line {
  fill: none;
  stroke: var(--lagoon);
  stroke-width: 1.5;
}
.within {
  fill: var(--lagoon);
}
.outside {
  stroke: var(--stop);
  stroke-width: 3;
}
text {
  fill: var(--ink);
  font-family: var(--figures);
  font-size: 14px;
}
.size {
  text-anchor: end;
}
.piece {
  text-anchor: middle;
}
</style>
