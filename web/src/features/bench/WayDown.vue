<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { useWidth } from '@/shared/state/useWidth'

import type { SizeNow } from '@/features/bench/projected'
import type { Schemas } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** The way down to size: every reading of the piece, and what is left between the last one and the limits. */
const props = defineProps<{ size: SizeNow; dimension: Schemas['DimensionShown'] }>()
const { told } = useUnits()

const HIGH = 76
const LINE = 40
const LEFT = 40
const WORDS = 130
const place = useTemplateRef<HTMLElement>('place')
const width = useWidth(place, 600)

const mm = (shown: Schemas['Shown']) => Number(shown.mm.text.replace('−', '-'))
const aim = computed(() => mm(props.dimension.aim))
const half = computed(() => Math.max(1e-4, Math.abs(mm(props.dimension.high) - mm(props.dimension.low)) / 2))
/** What waits on this device is kept as typed: it has its place once it is sent. */
const readings = computed(() =>
  props.size.readings
    .map((one) => ({ mm: mm(one.reading), words: told(one.reading).text }))
    .filter((one) => Number.isFinite(one.mm)),
)
/** Which way metal goes: a diameter gets smaller, a bore larger. */
const down = computed(() => (readings.value[0]?.mm ?? aim.value) >= aim.value)
/** Far steps are drawn shorter, so that the limits are seen beside the first cut. */
const far = computed(() =>
  Math.max(...readings.value.map((one) => Math.abs(one.mm - aim.value)), 4 * half.value),
)
/** How far from the middle of the limits a distance is drawn, as a share of the whole way. */
const share = (off: number) => Math.log1p(off / half.value) / Math.log1p(far.value / half.value)
/** The middle of the limits: beyond it the other limit has its place, and its words. */
const end = computed(() => (width.value - WORDS + share(half.value) * LEFT) / (1 + share(half.value)))
function x(size: number): number {
  const off = (size - aim.value) * (down.value ? 1 : -1)
  return Math.min(width.value - 8, end.value - Math.sign(off) * share(Math.abs(off)) * (end.value - LEFT))
}
const band = computed(() => {
  const sides = [x(mm(props.dimension.low)), x(mm(props.dimension.high))]
  return { from: Math.min(...sides), to: Math.max(...sides) }
})
const last = computed(() => readings.value.at(-1))
const within = computed(
  () => !!last.value && last.value.mm >= mm(props.dimension.low) && last.value.mm <= mm(props.dimension.high),
)
/** Words that would lie on others are left out; the last reading always has its own. */
const named = computed(() => {
  let clear = Infinity
  return readings.value
    .map((one) => ({ ...one, x: x(one.mm) }))
    .reverse()
    .map((one) => {
      const room = 5 * one.words.length
      const said = one.x + room < clear
      if (said) clear = one.x - room
      return { ...one, said }
    })
    .reverse()
})
</script>

<template>
  <div ref="place" class="way">
    <svg
      v-if="readings.length"
      :width="width"
      :height="HIGH"
      role="img"
      :aria-label="`${readings.length} readings on the way to ${told(dimension.low).text} to ${told(dimension.high).text}`"
    >
      <rect class="band" :x="band.from" :y="LINE - 14" :width="band.to - band.from" height="28" />
      <path
        class="limit"
        :d="`M${band.from} ${LINE - 14}V${LINE + 14}M${band.to} ${LINE - 14}V${LINE + 14}`"
      />
      <path class="been" :d="`M${named[0]?.x} ${LINE}H${named.at(-1)?.x}`" />
      <path v-if="!within" class="left" :d="`M${named.at(-1)?.x} ${LINE}H${x(aim)}`" />
      <g v-for="(one, n) in named" :key="n">
        <circle :class="n === named.length - 1 ? 'now' : 'was'" :cx="one.x" :cy="LINE" r="5" />
        <text v-if="one.said" :x="one.x" :y="LINE - 20" class="middle">{{ one.words }}</text>
      </g>
      <text class="note" :x="band.to + 10" :y="LINE + 5">
        {{ down ? 'least' : 'most' }} {{ told(down ? dimension.low : dimension.high).text }}
      </text>
      <text class="note middle" :x="band.from" :y="LINE + 32">
        {{ down ? 'most' : 'least' }} {{ told(down ? dimension.high : dimension.low).text }}
      </text>
    </svg>
  </div>
</template>

<style scoped>
.way {
  min-width: 0;
  margin-top: 16px;
}
/* Where the page has the height for it. */
@media (max-height: 799px), (max-width: 1100px) {
  .way {
    display: none;
  }
}
svg {
  display: block;
  overflow: visible;
}
.band {
  fill: var(--good);
  opacity: 0.16;
}
.limit {
  stroke: var(--good);
  stroke-width: 1.2;
}
.been {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.left {
  stroke: var(--coral);
  stroke-width: 1.6;
  stroke-dasharray: 6 4;
}
.was {
  fill: var(--ink);
  stroke: var(--ground);
  stroke-width: 1.6;
}
.now {
  fill: var(--ground);
  stroke: var(--coral);
  stroke-width: 2.4;
}
text {
  font: 16px var(--figures);
  fill: var(--ink);
}
.note {
  font-size: var(--s14);
  fill: var(--muted);
}
.middle {
  text-anchor: middle;
}
</style>
