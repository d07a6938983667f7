<script setup lang="ts">
import { computed, useTemplateRef, watch } from 'vue'

import RowHead from '@/features/batch/RowHead.vue'
import { type PieceRow, piecesOf, runsOf } from '@/features/batch/rows'
import type { Schemas } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'
import { useNarrow } from '@/shared/state/useScreen'
import { useWidth } from '@/shared/state/useWidth'

/** A batch as a table: a column a piece, under it every size, what the nut said, how the die stood. */
const props = defineProps<{ batch: Schemas['BatchShown'] }>()
const { told, text } = useUnits()

/** A column has room for its figure; more of them than there is room for are scrolled, the heads stay. */
const LEAST = 52
const WIDEST = 98
const HEADS = 312
const HIGH = 116
const PAD = 16
const RUNG = 24
const EIGHTH = 16

const pieces = computed<PieceRow[]>(() => piecesOf(props.batch))
const place = useTemplateRef<HTMLElement>('place')
const room = useWidth(place, 800)
const narrow = useNarrow()
/** On a phone the heads stand over their rows, and the pieces have the whole width. */
const column = computed(() =>
  Math.max(
    LEAST,
    Math.min(WIDEST, (room.value - (narrow.value ? 0 : HEADS)) / Math.max(1, pieces.value.length)),
  ),
)
const wide = computed(() => pieces.value.length * column.value)
const x = (piece: number) => (piece - 0.5) * column.value
/** The piece in hand is in sight, with what went before it. */
watch(
  [column, place],
  () => {
    const shown = room.value - (narrow.value ? 0 : HEADS)
    place.value?.scrollTo({ left: Math.max(0, x(props.batch.in_hand ?? 1) - shown + column.value) })
  },
  { flush: 'post' },
)

interface Size {
  series: Schemas['SizeSeries']
  y: (mm: number) => number
  line: string
}
/** Each size between its limits: what is still being cut stretches no scale. */
const sizes = computed<Size[]>(() =>
  props.batch.sizes.map((series) => {
    const ended = series.points.filter((one) => one.stands !== 'in work')
    const top = Math.max(series.high_mm, ...ended.map((one) => one.mm))
    const low = Math.min(series.low_mm, ...ended.map((one) => one.mm))
    const y = (mm: number) => {
      const at = PAD + ((top - mm) / (top - low || 1)) * (HIGH - 2 * PAD)
      return Math.max(7, Math.min(HIGH - 7, at))
    }
    return { series, y, line: ended.map((one) => `${x(one.piece)},${y(one.mm)}`).join(' ') }
  }),
)
const marks = (size: Size) => [
  { name: 'most', y: size.y(size.series.high_mm), words: told(size.series.high).text, quiet: true },
  { name: 'aim', y: size.y(size.series.aim_mm), words: told(size.series.aim).text, quiet: true },
  { name: 'least', y: size.y(size.series.low_mm), words: told(size.series.low).text, quiet: true },
]

interface Ladder {
  thread: Schemas['ThreadsShown']
  high: number
  good: { y: number; high: number } | null
  line: string
  rung: (said: string) => number
}
const ladders = computed<Ladder[]>(() =>
  props.batch.threads.map((thread) => {
    const rung = (said: string) => thread.rungs.findIndex((one) => one.said === said) * RUNG + RUNG / 2
    const passing = thread.rungs.filter((one) => one.passes).map((one) => rung(one.said))
    const good = passing.length ? { y: Math.min(...passing) - RUNG / 2, high: passing.length * RUNG } : null
    const line = thread.gauged.map((one) => `${x(one.piece)},${rung(one.said)}`).join(' ')
    return { thread, high: thread.rungs.length * RUNG, good, line, rung }
  }),
)
/** The die as it stood for each piece, a step where it was moved: closed is further down. */
const dies = computed(() =>
  props.batch.threads
    .filter((thread) => thread.gauged.some((one) => one.eighths !== 0))
    .map((thread) => {
      const stood = thread.gauged.map((one) => one.eighths)
      const most = Math.max(...stood)
      const least = Math.min(...stood)
      const y = (eighths: number) => EIGHTH / 2 + (most - eighths) * EIGHTH
      let line = ''
      for (const one of thread.gauged)
        line += `${line ? 'L' : 'M'}${x(one.piece) - column.value / 2} ${y(one.eighths)}H${x(one.piece) + column.value / 2}`
      const marks = [...new Set([most, least])].flatMap((eighths) => {
        const one = thread.gauged.find((each) => each.eighths === eighths)
        return one ? [{ name: one.stood, y: y(eighths), words: '', quiet: true }] : []
      })
      return { thread, y, line, marks, high: (most - least + 1) * EIGHTH, last: thread.gauged.at(-1) }
    }),
)
/** How long each piece took, as a bar from nothing, beside what its plan expects of the same steps. */
const minutes = computed(() => {
  const told = props.batch.minutes
  if (!told.length) return null
  const most = Math.max(...told.flatMap((one) => [one.minutes, one.expected]))
  const y = (of: number) => HIGH - (of / most) * (HIGH - 24)
  const bars = told.map((one) => ({
    ...one,
    y: y(one.minutes),
    expected: y(one.expected),
  }))
  const words = told.map((one) => `piece ${one.piece} ${one.said}`).join(', ')
  return { bars, told: `Minutes: ${words}`, marks: [] }
})
</script>

<template>
  <div ref="place" class="grid" role="group" tabindex="0" aria-label="The batch, piece by piece">
    <table :style="{ '--wide': `${wide}px` }">
      <caption class="sr">
        Sizes, gauging and the die for each piece
      </caption>
      <thead>
        <tr>
          <th scope="col" class="name"><span class="sr">What</span></th>
          <td class="track">
            <ol class="pieces" :style="{ gridTemplateColumns: `repeat(${pieces.length}, ${column}px)` }">
              <li v-for="one in pieces" :key="one.piece" :class="one.state">
                <b class="fig">{{ one.piece }}</b> <span class="small">{{ one.words }}</span>
              </li>
            </ol>
          </td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="size in sizes" :key="`${size.series.step} ${size.series.measured}`">
          <RowHead :title="size.series.title" :note="size.series.name" :marks="marks(size)" />
          <td class="track">
            <svg
              :width="wide"
              :height="HIGH"
              role="img"
              :aria-label="`${size.series.name} of ${size.series.points.length} pieces, ${size.series.points.filter((one) => one.stands === 'outside').length} out of limits`"
            >
              <rect
                class="band"
                x="0"
                :y="size.y(size.series.high_mm)"
                :width="wide"
                :height="size.y(size.series.low_mm) - size.y(size.series.high_mm)"
              />
              <path
                class="limit"
                :d="`M0 ${size.y(size.series.high_mm)}H${wide}M0 ${size.y(size.series.low_mm)}H${wide}`"
              />
              <path class="aim" :d="`M0 ${size.y(size.series.aim_mm)}H${wide}`" />
              <polyline class="line" :points="size.line" />
              <g v-for="point in size.series.points" :key="point.piece">
                <title>piece {{ point.piece }}: {{ text(point.size) }}, {{ point.stands }}</title>
                <path
                  v-if="point.stands === 'outside'"
                  class="outside"
                  :d="`M${x(point.piece) - 6} ${size.y(point.mm) - 6}l12 12m0 -12l-12 12`"
                />
                <circle
                  v-else
                  :class="point.stands.replace(' ', '-')"
                  :cx="x(point.piece)"
                  :cy="size.y(point.mm)"
                  r="5"
                />
                <text
                  class="fig"
                  :class="point.stands.replace(' ', '-')"
                  :x="x(point.piece)"
                  :y="size.y(point.mm) + (size.y(point.mm) > HIGH / 2 ? -11 : 22)"
                >
                  {{ told(point.size).text }}
                </text>
              </g>
            </svg>
            <p v-if="size.series.leaves_at" class="leaves small" role="status">
              ▲ At this drift piece {{ size.series.leaves_at }} will be out of limits. Adjust before piece
              {{ size.series.leaves_at }}.
            </p>
            <p v-else-if="size.series.drifts && size.series.drift" class="muted small">
              Drift {{ text(size.series.drift.shown) }} per piece, stays within limits
            </p>
          </td>
        </tr>
        <tr v-for="ladder in ladders" :key="ladder.thread.step">
          <RowHead
            ladder
            :title="ladder.thread.title"
            :note="ladder.thread.thread"
            :marks="
              ladder.thread.rungs.map((one) => ({
                name: one.said,
                y: ladder.rung(one.said),
                words: '',
                quiet: !one.passes,
              }))
            "
          />
          <td class="track">
            <svg :width="wide" :height="ladder.high" aria-hidden="true">
              <rect
                v-if="ladder.good"
                class="band"
                x="0"
                :y="ladder.good.y"
                :width="wide"
                :height="ladder.good.high"
              />
              <path
                v-for="one in ladder.thread.rungs"
                :key="one.said"
                class="rung"
                :d="`M0 ${ladder.rung(one.said)}H${wide}`"
              />
              <polyline class="line" :points="ladder.line" />
              <g v-for="one in ladder.thread.gauged" :key="one.piece">
                <circle
                  v-if="one.passes"
                  class="within"
                  :cx="x(one.piece)"
                  :cy="ladder.rung(one.said)"
                  r="5"
                />
                <path
                  v-else
                  class="outside"
                  :d="`M${x(one.piece) - 6} ${ladder.rung(one.said) - 6}l12 12m0 -12l-12 12`"
                />
              </g>
            </svg>
            <ol class="sr">
              <li v-for="one in runsOf(ladder.thread.gauged)" :key="one.from">
                {{ one.passes ? '✓' : '✗' }}
                {{ one.to > one.from ? `pieces ${one.from} to ${one.to}` : `piece ${one.from}` }}:
                {{ one.said }}
              </li>
            </ol>
          </td>
        </tr>
        <tr v-if="minutes">
          <RowHead title="Minutes" note="as recorded; the plan’s in outline" :marks="minutes.marks" />
          <td class="track">
            <svg :width="wide" :height="HIGH" role="img" :aria-label="minutes.told">
              <g v-for="bar in minutes.bars" :key="bar.piece">
                <title>piece {{ bar.piece }}: {{ bar.said }}</title>
                <rect class="took" :x="x(bar.piece) - 12" :y="bar.y" width="24" :height="HIGH - bar.y" />
                <rect
                  class="planned"
                  :x="x(bar.piece) - 16"
                  :y="bar.expected"
                  width="32"
                  :height="HIGH - bar.expected"
                />
                <text class="fig" :x="x(bar.piece)" :y="Math.min(bar.y, bar.expected) - 6">
                  {{ bar.text }}
                </text>
              </g>
            </svg>
          </td>
        </tr>
        <tr v-for="die in dies" :key="`die ${die.thread.step}`">
          <RowHead title="The die" :note="die.last?.stood ?? ''" :marks="die.marks" />
          <td class="track">
            <svg
              :width="wide"
              :height="die.high"
              role="img"
              :aria-label="`The die: ${die.last?.stood ?? ''}`"
            >
              <path v-for="mark in die.marks" :key="mark.name" class="rung" :d="`M0 ${mark.y}H${wide}`" />
              <path class="stair" :d="die.line" />
            </svg>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped src="./grid.css"></style>
