<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'

import { blocksOf, layOut, stretchesIn, wordsIn, type Block } from '@/features/week/timeline'
import type { Week } from '@/features/week/useWeek'
import { useWidth } from '@/shared/state/useWidth'

/** The week on one line a place: hours in the shop side by side, each task where it is done; a block can be dragged. */
const props = defineProps<{ week: Week; chosen: number; first: number; days: number; readonly: boolean }>()
const emit = defineEmits<{ choose: [number]; put: [{ first: number; then: number }] }>()
const DRAG_FROM = 8
/** How wide a stretch is (px) that its day is written out in, its hours, and its date. */
const DAY_FROM = 84
const HOURS_FROM = 104
const DATE_FROM = 168
const place = useTemplateRef<HTMLElement>('line')
const width = useWidth(place, 900)
const stretches = computed(() => layOut(stretchesIn(props.week, props.days), width.value))
const rows = computed(() =>
  props.week.stations
    .map((station) => ({
      ...station,
      blocks: props.week.bookings
        .filter((one) => one.station === station.code)
        .flatMap((one) => blocksOf(one, stretches.value)),
    }))
    .filter((row) => row.blocks.length),
)
const several = computed(() => props.week.people.length > 1)
const said = (block: Block) =>
  `${block.booking.title}, ${block.booking.what}, ${block.booking.when}, ${block.booking.takes}`

const under = ({ booking }: Block) =>
  [booking.takes, booking.what, ...(several.value ? [booking.person] : [])].join(' · ')

/** What is dragged: the block's job, where it was taken up, how far it is now (px). */
const drag = ref<{ block: Block; from: number; by: number } | null>(null)
function take(event: PointerEvent, block: Block) {
  dragged = false
  if (props.readonly || event.button !== 0) return
  drag.value = { block, from: event.clientX, by: 0 }
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
function move(event: PointerEvent) {
  if (drag.value) drag.value.by = event.clientX - drag.value.from
}
/** What ends a drag is no press. */
let dragged = false
function press(job: number) {
  if (!dragged) emit('choose', job)
  dragged = false
}
/** Put before or behind the task of another job that lies where it was let go. */
function drop() {
  const held = drag.value
  drag.value = null
  if (!held || Math.abs(held.by) < DRAG_FROM) return
  dragged = true
  const at = held.block.left + held.by + (held.by > 0 ? held.block.wide : 0)
  const mine = held.block.booking
  const others = rows.value
    .flatMap((row) => row.blocks)
    .filter((one) => one.booking.job !== mine.job)
    .filter((one) => one.booking.station === mine.station || one.booking.person === mine.person)
  const under = others
    .filter((one) => (held.by > 0 ? one.left + one.wide / 2 <= at : one.left + one.wide / 2 >= at))
    .sort((a, b) => (held.by > 0 ? b.left - a.left : a.left - b.left))[0]
  if (!under) return
  const theirs = under.booking.job
  emit('put', held.by > 0 ? { first: theirs, then: mine.job } : { first: mine.job, then: theirs })
}
const shift = (block: Block) =>
  drag.value?.block.booking.ident === block.booking.ident ? `translateX(${drag.value.by}px)` : undefined
</script>

<template>
  <div class="chart">
    <span></span>
    <div ref="line" class="days">
      <span
        v-for="one in stretches"
        :key="one.begin"
        class="day"
        :style="{ left: `${one.left}px`, width: `${one.wide}px` }"
      >
        <strong>{{ one.wide < DAY_FROM ? one.day.slice(0, 3) : one.day }}</strong>
        <span v-if="one.wide >= DATE_FROM" class="muted date">{{ one.date }}</span>
        <span v-if="one.wide >= HOURS_FROM" class="muted hours">{{ one.hours }}</span>
      </span>
    </div>
    <template v-for="row in rows" :key="row.code">
      <h3>{{ row.name }}</h3>
      <div class="row">
        <span
          v-for="one in stretches"
          :key="one.begin"
          class="ground"
          :style="{ left: `${one.left}px`, width: `${one.wide}px` }"
        ></span>
        <button
          v-for="block in row.blocks"
          :key="`${block.booking.ident}.${block.left}`"
          type="button"
          class="block"
          :class="{
            first: block.booking.job === first,
            chosen: block.booking.job === chosen,
            begins: block.first,
            ends: block.last,
          }"
          :style="{ left: `${block.left}px`, width: `${block.wide}px`, transform: shift(block) }"
          :aria-label="said(block)"
          :title="said(block)"
          :aria-pressed="block.booking.job === chosen"
          @click="press(block.booking.job)"
          @pointerdown="take($event, block)"
          @pointermove="move"
          @pointerup="drop"
          @pointercancel="drag = null"
        >
          <span v-if="block.setting" class="setting" :style="{ width: `${block.setting}px` }"></span>
          <span v-if="wordsIn(block.booking.title, block.wide - block.setting)" class="named">
            <strong>{{ wordsIn(block.booking.title, block.wide - block.setting) }}</strong>
            <span class="small">{{ wordsIn(under(block), block.wide - block.setting) }}</span>
          </span>
        </button>
      </div>
    </template>
  </div>
</template>

<style scoped>
.chart {
  display: grid;
  grid-template-columns: 108px minmax(0, 1fr);
  column-gap: 12px;
  align-items: stretch;
}
h3 {
  font-size: var(--s16);
  align-self: center;
}
.days {
  position: relative;
  height: 46px;
  border-bottom: 2px solid var(--ink);
}
.day {
  position: absolute;
  bottom: 2px;
  font-size: var(--s14);
  line-height: 1.3;
  white-space: nowrap;
  overflow: hidden;
}
.date {
  margin-left: 8px;
}
.hours {
  display: block;
}
.row {
  position: relative;
  height: 62px;
  border-bottom: 1px solid var(--line);
}
.ground {
  position: absolute;
  inset-block: 0;
  background: var(--quiet);
}
.block {
  position: absolute;
  inset-block: 6px;
  display: flex;
  padding: 0;
  overflow: hidden;
  text-align: left;
  border: 1px solid var(--ink);
  border-inline-width: 0;
  background: var(--metal);
  color: var(--ink);
  touch-action: pan-y;
  cursor: grab;
}
.block.begins {
  border-left-width: 1px;
  border-start-start-radius: var(--tight);
  border-end-start-radius: var(--tight);
}
.block.ends {
  border-right-width: 1px;
  border-start-end-radius: var(--tight);
  border-end-end-radius: var(--tight);
}
.block.first {
  border-color: var(--coral);
  box-shadow: inset 0 4px 0 var(--coral);
}
.block.chosen {
  background: var(--lagoon);
  color: var(--ground);
}
.setting {
  flex: none;
  background: repeating-linear-gradient(-45deg, transparent 0 5px, currentcolor 5px 6px);
  border-right: 1px solid currentcolor;
}
@media (forced-colors: active) {
  .setting {
    forced-color-adjust: none;
  }
  .block.chosen {
    outline: 3px solid Highlight;
  }
}
.named {
  display: grid;
  align-content: center;
  min-width: 0;
  padding: 4px 8px;
  line-height: 1.25;
}
.named > * {
  white-space: nowrap;
}
.named strong {
  font-size: var(--s14);
}
</style>
