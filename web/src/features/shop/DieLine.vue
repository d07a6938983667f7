<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, useTemplateRef } from 'vue'

import { ask, client } from '@/shared/api/client'
import FigureValue from '@/shared/figures/FigureValue.vue'
import WorkingPanel from '@/shared/figures/WorkingPanel.vue'
import { useUnits } from '@/shared/figures/useUnits'
import { useWidth } from '@/shared/state/useWidth'

/** Where to set a die for another job, and what it is known to cut over its setting: each thread by what the nut
    said, the line with its band, the limits of the class. */
const props = defineProps<{ die: string }>()
const { data: told } = useQuery({
  queryKey: computed(() => ['dies', 'line', props.die]),
  queryFn: () => ask(client.GET('/api/log/dies/line', { params: { query: { die: props.die } } })),
})
const working = ref(false)
const place = useTemplateRef<HTMLElement>('place')
const width = useWidth(place, 440)
const HIGH = 220
const LEFT = 122
const FOOT = 44
const RIGHT = 12
const settings = computed(() => told.value?.line.map((one) => one.eighths) ?? [])
const sizes = computed(() => {
  const line = told.value?.line ?? []
  const half = told.value?.half_mm ?? 0
  return [...line.flatMap((one) => [one.low_mm, one.high_mm]), half * 1.3, -half * 1.3]
})
const x = (eighths: number) => {
  const low = Math.min(...settings.value)
  const span = Math.max(...settings.value) - low || 1
  return LEFT + ((eighths - low) / span) * (width.value - LEFT - RIGHT)
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
/** The limits of the class and its middle, each by its name. */
const marks = computed(() => {
  const half = told.value?.half_mm ?? 0
  const words = told.value ? inUnit(told.value.half).text : ''
  return [
    { mm: half, words: `most +${words}` },
    { mm: 0, words: 'middle' },
    { mm: -half, words: `least −${words}` },
  ]
})
/** What is expected at the setting that is told next. */
const next = computed(() => told.value?.line.find((one) => one.eighths === told.value?.at))
</script>

<template>
  <div ref="place" class="line">
    <template v-if="told && told.line.length">
      <div v-if="told.next" class="next">
        <p>
          <span class="muted small">Set it next, in {{ told.metal }}</span>
          <strong class="key">{{ told.next }}</strong>
        </p>
        <FigureValue
          v-if="told.chance"
          :figure="told.chance"
          :label="told.chance.name"
          :open="working"
          @working="working = !working"
        />
      </div>
      <p v-else class="muted">{{ told.unknown }}</p>
      <WorkingPanel v-if="working && told.chance" :figure="told.chance" />
      <svg
        :width="width"
        :height="HIGH"
        role="img"
        :aria-label="`Pitch diameter of ${told.thread} against die setting, from ${told.points.length} threads`"
      >
        <polygon class="band" :points="band" />
        <rect
          class="class"
          :x="LEFT"
          :y="y(told.half_mm)"
          :width="width - LEFT - RIGHT"
          :height="y(-told.half_mm) - y(told.half_mm)"
        />
        <path
          v-for="mark in marks"
          :key="mark.words"
          :class="mark.mm ? 'limit' : 'aim'"
          :d="`M${LEFT} ${y(mark.mm)}H${width - RIGHT}`"
        />
        <polyline class="middle" :points="path('off_mm').join(' ')" />
        <circle v-if="next" class="now" :cx="x(next.eighths)" :cy="y(next.off_mm)" r="8" />
        <g v-for="(point, n) in points" :key="n">
          <title>{{ point.said }}, {{ point.metal }}</title>
          <circle v-if="point.passes" class="passes" :cx="point.cx" :cy="point.cy" r="5" />
          <path
            v-else
            class="fails"
            :d="`M${point.cx - 5} ${point.cy - 5}l10 10M${point.cx - 5} ${point.cy + 5}l10 -10`"
          />
        </g>
        <text v-for="mark in marks" :key="mark.words" class="size" :x="LEFT - 6" :y="y(mark.mm) + 5">
          {{ mark.words }}
        </text>
        <template v-for="at in settings" :key="at">
          <path v-if="at % 1 === 0" class="tick" :d="`M${x(at)} ${HIGH - FOOT}v5`" />
          <text v-if="at % 1 === 0" class="at" :x="x(at)" :y="HIGH - FOOT + 19">
            {{ String(at).replace('-', '−') }}
          </text>
        </template>
        <text class="words" :x="LEFT" :y="HIGH - 6">← closed</text>
        <text v-if="width > 380" class="words at" :x="(LEFT + width - RIGHT) / 2" :y="HIGH - 6">
          {{ told.marks }}
        </text>
        <text class="words size" :x="width - RIGHT" :y="HIGH - 6">open →</text>
      </svg>
      <p class="muted small">
        Pitch diameter of {{ told.thread }} over the middle of its class ({{ inUnit(told.half).unit }}), in
        {{ told.metal }}. Grey holds 19 of 20 threads. ● good fit, ✗ too tight or too loose.
      </p>
    </template>
  </div>
</template>

<style scoped>
.line {
  width: 100%;
  min-width: 0;
}
.next {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  justify-content: space-between;
  margin-bottom: 8px;
}
.next p {
  display: grid;
}
.key {
  font-size: var(--s28);
  line-height: 1.2;
}
svg {
  display: block;
}
.class {
  fill: var(--good);
  opacity: 0.1;
}
.band {
  fill: var(--ink);
  opacity: 0.1;
}
.limit {
  stroke: var(--good);
  stroke-width: 1.2;
}
.aim {
  stroke: var(--muted);
  stroke-width: 0.8;
  stroke-dasharray: 6 4;
}
.middle {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.passes {
  fill: var(--ink);
  stroke: var(--surface);
  stroke-width: 1.6;
}
.fails {
  stroke: var(--stop);
  stroke-width: 2.4;
}
.now {
  fill: none;
  stroke: var(--coral);
  stroke-width: 1.6;
}
text {
  font: var(--s14) var(--figures);
  fill: var(--muted);
}
.size {
  text-anchor: end;
}
.at {
  text-anchor: middle;
}
.words {
  font-family: inherit;
}
.tick {
  stroke: var(--line);
}
</style>
