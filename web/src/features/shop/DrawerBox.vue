<script setup lang="ts">
import { computed } from 'vue'

import type { Thing } from '@/features/shop/useKit'

/** A drawer with what lies in it, to scale: dies as rounds with their thread, taps and drills standing. */
const props = defineProps<{ name: string; inside: Thing[]; chosen: string }>()
const emit = defineEmits<{ choose: [string] }>()
const PER_MM = 2.1
const HIGH = 64
const radius = (thing: Thing) => (thing.across_mm * PER_MM) / 2
/** Where the chip holes lie round the thread, and how much metal there is between thread and rim. */
const CLEARANCE = [
  [0.7, 0.7],
  [-0.7, 0.7],
  [0.7, -0.7],
  [-0.7, -0.7],
] as const
const web = (thing: Thing) => radius(thing) - (thing.bore_mm * PER_MM) / 2
const gone = (thing: Thing) => thing.state === 'missing' || thing.state === 'lent'
const short = (thing: Thing) => thing.thread || thing.size
const count = computed(() => {
  const away = props.inside.filter(gone).length
  return away ? `${props.inside.length - away} of ${props.inside.length}` : String(props.inside.length)
})
/** How tall a drill or a tap of that thickness stands, in sheet units. */
const tall = (thing: Thing) => Math.min(HIGH - 4, 26 + thing.across_mm * 2.4)
const thick = (thing: Thing) => Math.max(2, Math.min(26, thing.across_mm * PER_MM))
</script>

<template>
  <section class="drawer" :aria-label="name">
    <h2>
      {{ name }} <span class="muted small">{{ count }}</span>
    </h2>
    <ul>
      <li v-for="thing in inside" :key="thing.id">
        <button
          type="button"
          class="thing"
          :class="{ chosen: thing.id === chosen, gone: gone(thing) }"
          :aria-pressed="thing.id === chosen"
          :aria-label="`${thing.name}${thing.state === 'ready' ? '' : `, ${thing.state}`}`"
          @click="emit('choose', thing.id)"
        >
          <svg
            v-if="thing.kind === 'die'"
            :width="2 * radius(thing) + 4"
            :height="2 * radius(thing) + 4"
            aria-hidden="true"
          >
            <g :transform="`translate(${radius(thing) + 2} ${radius(thing) + 2})`">
              <circle class="body" :r="radius(thing)" />
              <circle class="bore" :r="(thing.bore_mm * PER_MM) / 2" />
              <circle
                v-for="[x, y] in CLEARANCE"
                :key="`${x}${y}`"
                class="bore"
                :r="web(thing) / 4"
                :cx="x * ((thing.bore_mm * PER_MM) / 2 + web(thing) / 3)"
                :cy="y * ((thing.bore_mm * PER_MM) / 2 + web(thing) / 3)"
              />
              <path
                v-if="thing.form === 'split'"
                class="slit"
                :d="`M0 ${-(thing.bore_mm * PER_MM) / 2}V${-radius(thing)}`"
              />
            </g>
          </svg>
          <svg v-else :width="thick(thing) + 4" :height="tall(thing) + 4" aria-hidden="true">
            <rect class="body" x="2" y="2" :width="thick(thing)" :height="tall(thing)" />
          </svg>
          <span class="fig small">{{ short(thing) }}</span>
          <span v-if="thing.state !== 'ready'" class="state small">{{ thing.state }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.drawer {
  background: var(--quiet);
  border: 1px solid var(--line);
  border-radius: var(--round);
  padding: 12px 16px;
}
h2 {
  font-size: var(--s16);
  display: flex;
  justify-content: space-between;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: flex-end;
  margin-top: 8px;
}
.thing {
  border: 2px solid transparent;
  border-radius: 8px;
  background: none;
  padding: 3px;
  display: grid;
  justify-items: center;
  cursor: pointer;
  min-width: 44px;
}
.thing:hover {
  border-color: var(--lagoon);
}
.thing.chosen {
  border-color: var(--coral);
  color: var(--coral);
}
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
.state {
  color: var(--caution);
}
</style>
