<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, useTemplateRef } from 'vue'
import { useWidth } from '@/shared/state/useWidth'

import { ask, client, type Schemas } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** Every size of every series on one rule: a row a series, a tick a size, those that the shop cuts filled. */
const props = defineProps<{
  /** A size that was typed: a line through all series, which names what it hits. */
  near?: Schemas['NearShown']
  /** Only series that the shop cuts something of. */
  owned?: boolean
}>()
const emit = defineEmits<{ choose: [designation: string] }>()
const { told } = useUnits()

const { data: all } = useQuery({
  queryKey: ['series'],
  queryFn: () => ask(client.GET('/api/threads/series')),
  staleTime: Infinity,
})
const { data: cut } = useQuery({
  queryKey: ['kit', 'threads'],
  queryFn: () => ask(client.GET('/api/kit/threads')),
})
const mine = computed(() => new Map((cut.value ?? []).map((one) => [one.thread, one])))

const LEAST = 0.75
const MOST = 168
const ROW = 21
const REACH = 8
const INCH = [
  ['1/16', 1 / 16],
  ['1/8', 1 / 8],
  ['1/4', 1 / 4],
  ['1/2', 1 / 2],
  ['3/4', 3 / 4],
  ['1', 1],
  ['2', 2],
  ['4 in', 4],
] as const
const METRIC = [
  ['1', 1],
  ['2', 2],
  ['3', 3],
  ['5', 5],
  ['10', 10],
  ['20', 20],
  ['30', 30],
  ['50', 50],
  ['100 mm', 100],
] as const

const place = useTemplateRef<HTMLElement>('place')
const width = useWidth(place, 800)
/** On a logarithmic rule a step is the same share of a size wherever it is. */
const x = (mm: number) => (Math.log(mm / LEAST) / Math.log(MOST / LEAST)) * width.value

const rows = computed(() =>
  (all.value ?? [])
    .filter((one) => !props.owned || one.sizes.some((size) => mine.value.has(size.designation)))
    .map((one, at, list) => ({
      ...one,
      begins: at > 0 && list[at - 1]?.family !== one.family,
      plain: one.sizes
        .filter((size) => !mine.value.has(size.designation))
        .map((size) => `M${x(size.mm).toFixed(1)} 6V16`)
        .join(''),
      own: one.sizes.flatMap((size) => {
        const had = mine.value.get(size.designation)
        return had ? [{ ...size, x: x(size.mm) - 2, both: had.die && had.tap }] : []
      }),
      hit: props.near?.hits.find((hit) => hit.series === one.series),
    })),
)
const line = computed(() => (props.near ? x(props.near.mm) : null))
/** How far from it a thread is still told. */
const band = computed(
  () =>
    props.near && {
      from: x(props.near.mm * (1 - props.near.share)),
      to: x(props.near.mm * (1 + props.near.share)),
    },
)

/** The marks of an axis whose words have room, from the left. */
function roomy(axis: readonly (readonly [string, number])[], unit: number) {
  const shown: { name: string; x: number }[] = []
  for (const [name, size] of axis) {
    const at = x(size * unit)
    const clear = !shown.length || at - (shown.at(-1)?.x ?? 0) > 10 * name.length + 12
    if (clear && (line.value === null || unit === 1 || Math.abs(at - line.value) > 40))
      shown.push({ name, x: at })
  }
  return shown
}
/** The size under the pointer: its name stands beside it. */
const under = ref<{ series: string; designation: string; x: number } | null>(null)
function look(event: PointerEvent | MouseEvent, row: Schemas['SeriesShown'], reach = REACH) {
  const from = (event.currentTarget as Element).getBoundingClientRect().left
  const at = event.clientX - from
  const nearest = row.sizes.reduce((best, size) =>
    Math.abs(x(size.mm) - at) < Math.abs(x(best.mm) - at) ? size : best,
  )
  const found = Math.abs(x(nearest.mm) - at) <= reach
  under.value = found ? { series: row.series, designation: nearest.designation, x: x(nearest.mm) } : null
  return under.value
}
function press(event: MouseEvent, row: Schemas['SeriesShown']) {
  const found = look(event, row, 2 * REACH)
  if (found) emit('choose', found.designation)
}
const opened = ref('')
const words = (designation: string) => mine.value.get(designation)?.words ?? ''
/** All sizes of a series, or those alone that the shop cuts. */
const listed = (row: Schemas['SeriesShown']) =>
  props.owned ? row.sizes.filter((size) => mine.value.has(size.designation)) : row.sizes
/** A name at the right end stands before its mark. */
const beside = (at: number, text: string) =>
  at + 8 * text.length + 16 > width.value
    ? { x: at - 8, anchor: 'end' as const }
    : { x: at + 8, anchor: 'start' as const }
const hitWords = (hit: Schemas['HitShown']) =>
  hit.more ? `${hit.designation} and ${hit.more} more` : hit.designation
</script>

<template>
  <div class="rule" :class="{ slim: width < 420 }" role="group" aria-label="All sizes on one rule">
    <div class="line head">
      <p class="legend small muted">
        <svg width="8" height="16" aria-hidden="true"><path d="M4 3V13" class="tick" /></svg> a size
        <svg width="8" height="16" aria-hidden="true">
          <rect x="2" y="1" width="4" height="14" class="both" />
        </svg>
        you cut both
        <svg width="8" height="16" aria-hidden="true">
          <rect x="2" y="1" width="4" height="14" class="one" />
        </svg>
        one only
      </p>
      <div ref="place" class="track">
        <svg class="axis" :width="width" height="34" aria-hidden="true">
          <text v-if="near && line !== null" class="typed" :x="line" y="12">
            {{ told(near.size).text }} {{ told(near.size).unit }}
          </text>
          <path v-for="[name, inches] in INCH" :key="name" class="tick" :d="`M${x(inches * 25.4)} 28V34`" />
          <text v-for="mark in roomy(INCH, 25.4)" :key="mark.name" :x="mark.x" y="24">{{ mark.name }}</text>
        </svg>
      </div>
    </div>
    <div v-for="row in rows" :key="row.series" class="line" :class="{ begins: row.begins }">
      <div class="name">
        <svg class="form" :viewBox="`0 0 ${row.picture.width} ${row.picture.height}`" aria-hidden="true">
          <path v-for="(p, n) in row.picture.paths" :key="n" :d="p.d" />
        </svg>
        <button
          type="button"
          :aria-expanded="opened === row.series"
          :title="`${row.angle_deg}°, ${row.count === 1 ? row.least : `${row.least} to ${row.greatest}`}`"
          @click="opened = opened === row.series ? '' : row.series"
        >
          {{ row.name }}
        </button>
        <span class="fig muted count">{{ row.count }}</span>
      </div>
      <div class="track">
        <svg
          class="sizes"
          :width="width"
          :height="ROW"
          aria-hidden="true"
          @pointermove="look($event, row)"
          @pointerleave="under = null"
          @click="press($event, row)"
        >
          <rect
            v-if="band"
            class="band"
            :x="band.from"
            y="-4"
            :width="band.to - band.from"
            :height="ROW + 4"
          />
          <path class="base" :d="`M0 11H${width}`" />
          <path class="tick" :d="row.plain" />
          <rect
            v-for="one in row.own"
            :key="one.designation"
            :class="one.both ? 'both' : 'one'"
            :x="one.x"
            y="4"
            width="4"
            height="14"
          />
          <path v-if="line !== null" class="hair" :d="`M${line} -4V${ROW}`" />
          <text
            v-if="row.hit && line !== null"
            class="hit"
            :x="beside(line, hitWords(row.hit)).x"
            y="16"
            :text-anchor="beside(line, hitWords(row.hit)).anchor"
          >
            {{ hitWords(row.hit) }}
          </text>
          <text
            v-else-if="under?.series === row.series"
            class="under"
            :x="beside(under.x, under.designation).x"
            y="16"
            :text-anchor="beside(under.x, under.designation).anchor"
          >
            {{ under.designation }}
          </text>
        </svg>
      </div>
      <ul v-if="opened === row.series" class="list" :aria-label="row.name">
        <li v-for="size in listed(row)" :key="size.designation">
          <plain-btn class="fig" @click="emit('choose', size.designation)">{{ size.designation }}</plain-btn>
          <span v-if="words(size.designation)" class="muted small words">{{ words(size.designation) }}</span>
        </li>
      </ul>
    </div>
    <div class="line foot">
      <span></span>
      <div class="track">
        <svg class="axis" :width="width" height="24" aria-hidden="true">
          <path v-for="[name, mm] in METRIC" :key="name" class="tick" :d="`M${x(mm)} 0V6`" />
          <text v-for="mark in roomy(METRIC, 1)" :key="mark.name" :x="mark.x" y="20">{{ mark.name }}</text>
        </svg>
      </div>
    </div>
    <ul v-if="near" class="sr" role="status">
      <li v-for="hit in near.hits" :key="hit.series">{{ hitWords(hit) }}</li>
    </ul>
  </div>
</template>

<style scoped src="./rule.css"></style>
