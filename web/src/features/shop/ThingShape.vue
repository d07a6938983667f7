<script setup lang="ts">
import { computed } from 'vue'

import { type Thing, useKinds } from '@/features/shop/useKit'

/** A thing drawn: dies, drills, blades and bars to scale, what has no one size as a sign of its kind. */
const props = defineProps<{
  thing: Pick<Thing, 'kind' | 'across_mm' | 'bore_mm' | 'said'>
  gone: boolean
  /** Pixels a millimetre; things that lie side by side have the same. */
  scale?: number
}>()
const PER_MM = 2.1
const HIGH = 64
const WIDEST = 60
const per = computed(() => props.scale ?? PER_MM)
const radius = computed(() => Math.min((props.thing.across_mm * per.value) / 2, WIDEST))
const bore = computed(() => (props.thing.bore_mm * per.value) / 2)
/** Where the chip holes of a die lie round its thread, and how much metal there is between thread and rim. */
const CLEARANCE = [
  [0.7, 0.7],
  [-0.7, 0.7],
  [0.7, -0.7],
  [-0.7, -0.7],
] as const
const web = computed(() => radius.value - bore.value)
const { data: kinds } = useKinds()
const sign = computed(() => kinds.value?.find((one) => one.kind === props.thing.kind)?.sign ?? '')
const round = computed(() => sign.value === 'round' || sign.value === 'ring')
/** A hexagon and a square are as large as they are over their flats. */
const corner = computed(() => radius.value / Math.cos(Math.PI / 6))
const half = computed(() => (props.thing.said.form === 'hexagon' ? corner.value : radius.value))
const rod = computed(() => sign.value === 'rod')
/** How tall a drill or a tap of that thickness stands, and how thick it is, in sheet units. */
const tall = computed(() => Math.min(HIGH - 4, 26 + props.thing.across_mm * 2.4))
const thick = computed(() => Math.max(2, Math.min(26, props.thing.across_mm * PER_MM)))
</script>

<template>
  <svg v-if="round" :class="{ gone }" :width="2 * half + 4" :height="2 * radius + 4" aria-hidden="true">
    <g :transform="`translate(${half + 2} ${radius + 2})`">
      <polygon
        v-if="thing.said.form === 'hexagon'"
        class="body"
        :points="
          [0, 1, 2, 3, 4, 5]
            .map((n) =>
              [Math.cos((n * Math.PI) / 3) * corner, Math.sin((n * Math.PI) / 3) * corner].join(','),
            )
            .join(' ')
        "
      />
      <rect
        v-else-if="thing.said.form === 'square'"
        class="body"
        :x="-radius"
        :y="-radius"
        :width="radius * 2"
        :height="radius * 2"
      />
      <circle v-else class="body" :r="radius" />
      <circle v-if="sign === 'ring'" class="bore" :r="radius * 0.6" />
      <template v-if="thing.kind === 'die'">
        <circle class="bore" :r="bore" />
        <circle
          v-for="[x, y] in CLEARANCE"
          :key="`${x}${y}`"
          class="bore"
          :r="web / 4"
          :cx="x * (bore + web / 3)"
          :cy="y * (bore + web / 3)"
        />
        <path v-if="(thing.said.form ?? 'split') === 'split'" class="slit" :d="`M0 ${-bore}V${-radius}`" />
      </template>
    </g>
  </svg>
  <svg v-else-if="rod" :class="{ gone }" :width="thick + 4" :height="tall + 4" aria-hidden="true">
    <rect class="body" x="2" y="2" :width="thick" :height="tall" />
  </svg>
  <svg v-else :class="{ gone }" width="72" height="44" viewBox="0 0 72 44" aria-hidden="true">
    <path class="body" fill-rule="evenodd" :d="sign" />
  </svg>
</template>

<style scoped>
.body {
  fill: var(--metal);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.bore {
  fill: var(--quiet);
  stroke: var(--ink);
}
.slit {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.gone .body {
  fill: none;
  stroke-dasharray: 6 4;
}
</style>
