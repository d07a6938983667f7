<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** What a die is known to cut over its setting: the class, the line with its band, each thread by what the nut said. */
const props = defineProps<{ die: string }>()
const { data: told } = useQuery({
  queryKey: computed(() => ['dies', 'line', props.die]),
  queryFn: () => ask(client.GET('/api/log/dies/line', { params: { query: { die: props.die } } })),
})
const WIDE = 480
const HIGH = 230
const LEFT = 68
const FOOT = 34
const settings = computed(() => told.value?.line.map((one) => one.eighths) ?? [])
const sizes = computed(() => {
  const line = told.value?.line ?? []
  const half = told.value?.half_mm ?? 0
  return [...line.flatMap((one) => [one.low_mm, one.high_mm]), half * 1.3, -half * 1.3]
})
const x = (eighths: number) => {
  const low = Math.min(...settings.value)
  const span = Math.max(...settings.value) - low || 1
  return LEFT + ((eighths - low) / span) * (WIDE - LEFT - 12)
}
const y = (mm: number) => {
  const high = Math.max(...sizes.value)
  const span = high - Math.min(...sizes.value) || 1
  return 10 + ((high - mm) / span) * (HIGH - FOOT - 10)
}
const path = (of: 'off_mm' | 'low_mm' | 'high_mm') =>
  (told.value?.line ?? []).map((one) => `${x(one.eighths)},${y(one[of])}`)
const band = computed(() => [...path('low_mm'), ...path('high_mm').reverse()].join(' '))
/** Threads of one setting stand side by side. */
const points = computed(() =>
  (told.value?.points ?? []).map((point, n, all) => {
    const before = all.slice(0, n).filter((one) => one.eighths === point.eighths).length
    return { ...point, cx: x(point.eighths) + before * 7, cy: y(point.off_mm) }
  }),
)
const { told: inUnit } = useUnits()
/** The limits of the class and its middle, each with what stands beside it. */
const marks = computed(() => {
  const half = told.value?.half_mm ?? 0
  const words = told.value ? inUnit(told.value.half).text : ''
  return [
    { mm: half, words: `+${words}` },
    { mm: 0, words: '0' },
    { mm: -half, words: `−${words}` },
  ]
})
</script>

<template>
  <figure v-if="told && told.line.length" class="line">
    <figcaption>
      Pitch diameter at each setting, in {{ told.metal }}. The band covers 19 of 20 threads.
    </figcaption>
    <svg
      :viewBox="`0 0 ${WIDE} ${HIGH}`"
      role="img"
      :aria-label="`Pitch diameter of ${told.thread} against die setting, from ${told.points.length} threads`"
    >
      <rect
        class="class"
        :x="LEFT"
        :y="y(told.half_mm)"
        :width="WIDE - LEFT - 12"
        :height="y(-told.half_mm) - y(told.half_mm)"
      />
      <polygon class="band" :points="band" />
      <polyline class="middle" :points="path('off_mm').join(' ')" />
      <g v-for="(point, n) in points" :key="n">
        <title>{{ point.said }}, {{ point.metal }}</title>
        <circle v-if="point.passes" class="passes" :cx="point.cx" :cy="point.cy" r="5" />
        <path
          v-else
          class="fails"
          :d="`M${point.cx - 5} ${point.cy - 5}l10 10M${point.cx - 5} ${point.cy + 5}l10 -10`"
        />
      </g>
      <text v-for="mark in marks" :key="mark.words" class="size" :x="LEFT - 6" :y="y(mark.mm) + 4">
        {{ mark.words }}
      </text>
      <template v-for="at in settings" :key="at">
        <path v-if="at % 1 === 0" class="tick" :d="`M${x(at)} ${HIGH - FOOT}v5`" />
        <text v-if="at % 1 === 0" class="at" :x="x(at)" :y="HIGH - FOOT + 17">
          {{ String(at).replace('-', '−') }}
        </text>
      </template>
      <text class="at" :x="(LEFT + WIDE) / 2" :y="HIGH - 2">
        setting, {{ told?.marks }}: right = open, left = closed
      </text>
    </svg>
    <p class="muted small">
      Shaded: class limits of {{ told.thread }} on either side of their middle ({{ inUnit(told.half).unit }}).
      ○ good fit, ✗ too tight or too loose.
    </p>
  </figure>
</template>

<style scoped>
.line {
  width: 100%;
  max-width: 560px;
  margin: 0;
}
svg {
  width: 100%;
  height: auto;
}
.class {
  fill: var(--good);
  opacity: 0.16;
}
.band {
  fill: var(--lagoon);
  opacity: 0.18;
}
.middle {
  fill: none;
  stroke: var(--lagoon);
  stroke-width: 1.6;
}
.passes {
  fill: var(--surface);
  stroke: var(--good);
  stroke-width: 2.4;
}
.fails {
  stroke: var(--stop);
  stroke-width: 2.4;
}
text {
  fill: var(--muted);
  font-size: var(--s14);
  font-family: var(--figures);
}
.size {
  text-anchor: end;
}
.at {
  text-anchor: middle;
}
.tick {
  stroke: var(--line);
}
</style>
