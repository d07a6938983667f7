<script setup lang="ts">
import { computed } from 'vue'

import type { Thing } from '@/features/shop/useKit'

/** A thing drawn: dies, drills, blades and bars to scale, what has no one size as a sign of its kind. */
const props = defineProps<{ thing: Pick<Thing, 'kind' | 'across_mm' | 'bore_mm' | 'said'>; gone: boolean }>()
const PER_MM = 2.1
const HIGH = 64
const WIDEST = 60
const radius = computed(() => Math.min((props.thing.across_mm * PER_MM) / 2, WIDEST))
const bore = computed(() => (props.thing.bore_mm * PER_MM) / 2)
/** Where the chip holes of a die lie round its thread, and how much metal there is between thread and rim. */
const CLEARANCE = [
  [0.7, 0.7],
  [-0.7, 0.7],
  [0.7, -0.7],
  [-0.7, -0.7],
] as const
const web = computed(() => radius.value - bore.value)
const round = computed(() => ['die', 'bar', 'collet', 'bush'].includes(props.thing.kind))
const rod = computed(() => ['tap', 'drill', 'reamer', 'blade'].includes(props.thing.kind))
/** How tall a drill or a tap of that thickness stands, and how thick it is, in sheet units. */
const tall = computed(() => Math.min(HIGH - 4, 26 + props.thing.across_mm * 2.4))
const thick = computed(() => Math.max(2, Math.min(26, props.thing.across_mm * PER_MM)))
/** Signs of what is not drawn to scale, in a box of 72 by 44. */
const SIGNS: Record<string, string> = {
  'die-stock':
    'M24 22a12 12 0 1 0 24 0a12 12 0 1 0-24 0M2 20h22v4H2zM48 20h22v4H48zM29 22a7 7 0 1 0 14 0a7 7 0 1 0-14 0',
  holder: 'M4 17h26v10H4zM30 8h34v28H30zM54 14h10v16H54z',
  head: 'M4 16h24v12H4zM28 4h34v36H28zM62 12h6v6h-6zM62 26h6v6h-6zM44 4v36',
  chuck: 'M12 4h28v36H12zM40 6h10v10H40zM40 28h10v10H40zM4 14h8v16H4z',
  centre: 'M4 14h36l26 8l-26 8H4z',
  gauge: 'M18 22a18 18 0 1 0 36 0a18 18 0 1 0-36 0M28 22a8 8 0 1 0 16 0a8 8 0 1 0-16 0',
  instrument: 'M4 6h60v8H4zM10 14h8v22l-4 4l-4-4zM34 14h8v26l-4-4l-4-4z',
  tool: 'M4 14h44v16H4zM48 14l18 4l-6 12H48z',
  lathe: 'M2 40h68v-6H2zM4 34V10h18v24zM22 16h8v12h-8zM54 34V18h14v16zM54 22l-8 1.500l8 1.500z',
}
</script>

<template>
  <svg v-if="round" :class="{ gone }" :width="2 * radius + 4" :height="2 * radius + 4" aria-hidden="true">
    <g :transform="`translate(${radius + 2} ${radius + 2})`">
      <polygon
        v-if="thing.said.form === 'hexagon'"
        class="body"
        :points="
          [0, 1, 2, 3, 4, 5]
            .map((n) =>
              [Math.cos((n * Math.PI) / 3) * radius, Math.sin((n * Math.PI) / 3) * radius].join(','),
            )
            .join(' ')
        "
      />
      <rect
        v-else-if="thing.said.form === 'square'"
        class="body"
        :x="-radius * 0.8"
        :y="-radius * 0.8"
        :width="radius * 1.6"
        :height="radius * 1.6"
      />
      <circle v-else class="body" :r="radius" />
      <circle v-if="thing.kind === 'collet' || thing.kind === 'bush'" class="bore" :r="radius * 0.6" />
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
    <path class="body" fill-rule="evenodd" :d="SIGNS[thing.kind]" />
  </svg>
</template>

<style scoped>
.body {
  fill: var(--metal);
  stroke: var(--ink);
  stroke-width: 1.4;
}
.bore {
  fill: var(--quiet);
  stroke: var(--ink);
}
.slit {
  stroke: var(--ink);
  stroke-width: 1.4;
}
.gone .body {
  fill: none;
  stroke-dasharray: 4 4;
}
</style>
