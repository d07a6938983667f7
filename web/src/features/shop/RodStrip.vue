<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { useWidth } from '@/shared/state/useWidth'

import type { Thing } from '@/features/shop/useKit'

/** Taps or drills side by side, as thick as they are: what is missing is a gap one sees. */
const props = defineProps<{ name: string; rods: Thing[]; chosen: string }>()
const emit = defineEmits<{ choose: [string] }>()

const HIGH = 26
const WORDS = 18
const GAP = 3.4
const LEAST = 2.4
const PER_MM = 1.2
const MOST = 16
const thick = (one: Thing) => Math.max(LEAST, Math.min(MOST, one.across_mm * PER_MM))
const tall = (one: Thing) => Math.min(HIGH, 13 + one.across_mm)

/** A long set is drawn closer: all of it is seen at once. */
const place = useTemplateRef<HTMLElement>('place')
const room = useWidth(place, 440)
const closer = computed(() => {
  const whole = props.rods.reduce((sum, one) => sum + thick(one) + GAP, 4)
  return Math.min(1, (room.value - 4) / whole)
})

interface Rod {
  thing: Thing
  x: number
  width: number
  high: number
  said: boolean
}
/** Every so many a size is named, and only where the word has room. */
const laid = computed(() => {
  let at = 2
  let clear = 0
  const rods: Rod[] = props.rods.map((thing) => {
    const width = thick(thing) * closer.value
    const rod = { thing, x: at, width, high: tall(thing), said: false }
    const half = 4.3 * thing.short.length
    if (at + width / 2 - half >= clear - 2 && at + width / 2 + half <= room.value) {
      rod.said = true
      clear = at + width / 2 + half + 12
    }
    at += width + GAP * closer.value
    return rod
  })
  return { rods, wide: Math.min(room.value, Math.max(at, clear)) }
})
const state = (one: Thing) => (one.state === 'ready' ? '' : `, ${one.condition}`)
const fails = (one: Thing) => one.state === 'broken' || one.state === 'missing' || one.state === 'lent'
/** By name, for a finger that does not find a thin one. */
const listed = ref(false)
const CAP = 5
</script>

<template>
  <div class="strip">
    <button type="button" class="name" :aria-expanded="listed" @click="listed = !listed">
      {{ name }}
    </button>
    <div ref="place" class="row">
      <svg :width="laid.wide" :height="HIGH + WORDS" role="group" :aria-label="`${name}, by size`">
        <g
          v-for="rod in laid.rods"
          :key="rod.thing.id"
          class="rod"
          :class="{
            chosen: rod.thing.id === chosen,
            fails: fails(rod.thing),
            worn: rod.thing.state === 'worn',
          }"
          role="button"
          tabindex="0"
          :aria-pressed="rod.thing.id === chosen"
          :aria-label="`${rod.thing.name}${state(rod.thing)}`"
          @click="emit('choose', rod.thing.id)"
          @keydown.enter.prevent="emit('choose', rod.thing.id)"
          @keydown.space.prevent="emit('choose', rod.thing.id)"
        >
          <title>{{ rod.thing.name }}{{ state(rod.thing) }}</title>
          <rect class="hit" :x="rod.x - GAP / 2" y="0" :width="rod.width + GAP" :height="HIGH" />
          <rect class="body" :x="rod.x" :y="HIGH - rod.high" :width="rod.width" :height="rod.high" />
          <rect
            v-if="rod.thing.kind === 'tap'"
            class="body"
            :x="rod.x + rod.width * 0.22"
            :y="HIGH - rod.high - CAP"
            :width="rod.width * 0.56"
            :height="CAP"
          />
        </g>
        <template v-for="rod in laid.rods" :key="rod.thing.id">
          <text
            v-if="rod.said"
            :x="Math.max(rod.x + rod.width / 2, 4.3 * rod.thing.short.length)"
            :y="HIGH + 14"
          >
            {{ rod.thing.short }}
          </text>
        </template>
      </svg>
      <ul v-if="listed" class="list">
        <li v-for="one in rods" :key="one.id">
          <plain-btn @click="emit('choose', one.id)">{{ one.name }}</plain-btn><span
            v-if="one.state !== 'ready'"
            class="state small"
            >, {{ one.condition }}</span
          >
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.strip {
  display: grid;
  grid-template-columns: 56px minmax(0, 1fr);
  gap: 8px;
  align-items: start;
}
.name {
  padding: 4px 0;
  border: 0;
  background: none;
  font: inherit;
  font-size: var(--s14);
  text-align: left;
  white-space: nowrap;
  color: var(--ink);
  cursor: pointer;
}
.name:hover {
  color: var(--lagoon);
  text-decoration: underline 1px;
  text-underline-offset: 3px;
}
.row {
  min-width: 0;
}
svg {
  display: block;
}
.rod {
  cursor: pointer;
}
.hit {
  fill: transparent;
}
.body {
  fill: var(--metal);
  stroke: var(--ink);
  stroke-width: 1.2;
}
.rod:hover .body {
  stroke: var(--lagoon);
}
.chosen .body {
  fill: var(--lagoon);
  stroke: var(--lagoon);
}
.worn .body {
  stroke: var(--caution);
}
.fails .body {
  fill: none;
  stroke: var(--caution);
  stroke-dasharray: 6 4;
}
text {
  font: 14px var(--figures);
  fill: var(--muted);
  text-anchor: middle;
}
.list {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
  gap: 4px 8px;
  padding: 4px 0 8px;
}
.state {
  color: var(--caution);
}
@media (max-width: 520px) {
  .strip {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
</style>
