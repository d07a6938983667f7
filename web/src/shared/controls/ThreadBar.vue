<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { useWidth } from '@/shared/state/useWidth'

/** Progress drawn as what a shop makes: pieces end to end on their bar, threaded as far as they are made. */
const props = defineProps<{
  total: number
  done: number
  now?: number
  label: string
  /** Pieces that the steps are shared by; one where nobody says. */
  pieces?: number
}>()

const HIGH = 24
const TOP = 4
const BOTTOM = HIGH - TOP
const DEEP = 3.5
const PITCH = 6
const LEAN = 2
const GROOVE = 8
const PAST = 6
/** Pieces told apart by a parting groove; more are one bar. */
const MOST_APART = 12

/** Turns are as long on any bar: the drawing is as wide as its place, and never stretched. */
const place = useTemplateRef<HTMLElement>('place')
const width = useWidth(place, 320)

const count = computed(() => {
  const pieces = props.pieces ?? 1
  return pieces > 1 && pieces <= MOST_APART ? pieces : 1
})
const long = computed(() => (width.value - 2 * PAST - GROOVE * (count.value - 1)) / count.value)
const left = (piece: number) => PAST + piece * (long.value + GROOVE)
/** How much of a piece so many steps are, from 0 to 1. */
const share = (piece: number, steps: number) =>
  Math.min(1, Math.max(0, (steps * count.value) / Math.max(1, props.total) - piece))
/** Where that ends on the piece: after whole turns, at least one once it is begun. */
function end(piece: number, steps: number): number {
  const of = share(piece, steps)
  if (of >= 1) return left(piece) + long.value
  const turns = Math.round((of * long.value) / PITCH)
  return left(piece) + Math.min(long.value, PITCH * (of > 0 ? Math.max(1, turns) : 0))
}

/** A thread between two places: crests above, half a turn on below. */
function thread(from: number, to: number): { body: string; helix: string } {
  if (to - from < 1) return { body: '', helix: '' }
  const upper: string[] = []
  const lower: string[] = []
  const helix: string[] = []
  for (let x = from; x < to - 0.5; x += PITCH) {
    const middle = Math.min(to, x + PITCH / 2)
    const next = Math.min(to, x + PITCH)
    upper.push(`${x} ${TOP + DEEP}`, `${middle} ${TOP}`)
    lower.unshift(`${middle} ${BOTTOM - DEEP}`, `${x} ${BOTTOM}`)
    helix.push(`M${middle} ${TOP}L${Math.max(from, middle - LEAN)} ${BOTTOM - DEEP}`)
    if (next === to) upper.push(`${to} ${TOP + DEEP}`)
  }
  return { body: `M${[...upper, `${to} ${BOTTOM}`, ...lower].join('L')}Z`, helix: helix.join('') }
}
const drawn = computed(() =>
  Array.from({ length: count.value }, (_, piece) => {
    const cut = end(piece, props.done)
    const inHand = props.now && props.done < props.total ? end(piece, props.done + props.now) : cut
    return {
      cut: thread(left(piece), cut),
      now: thread(cut, inHand),
      bare: { x: inHand, width: Math.max(0, left(piece) + long.value - inHand) },
      groove: piece ? left(piece) - GROOVE : 0,
    }
  }),
)
</script>

<template>
  <div ref="place" class="place">
    <svg class="bar" :viewBox="`0 0 ${width} ${HIGH}`" role="img" :aria-label="label">
      <path class="centre" :d="`M0 ${HIGH / 2}H${width}`" />
      <g v-for="(piece, n) in drawn" :key="n">
        <rect
          v-if="n"
          class="stock"
          :x="piece.groove"
          :y="TOP + 5"
          :width="GROOVE"
          :height="HIGH - 2 * TOP - 10"
        />
        <rect
          v-if="piece.bare.width"
          class="stock"
          :x="piece.bare.x"
          :y="TOP"
          :width="piece.bare.width"
          :height="HIGH - 2 * TOP"
        />
        <path :d="piece.cut.body" class="cut" />
        <path :d="piece.cut.helix" class="helix" />
        <path :d="piece.now.body" class="now" />
        <path :d="piece.now.helix" class="helix" />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.place {
  min-width: 0;
}
.bar {
  width: 100%;
  height: 24px;
  display: block;
}
.centre {
  stroke: var(--muted);
  stroke-width: 0.8;
  stroke-dasharray: 14 3 3 3;
}
.stock {
  fill: var(--quiet);
  stroke: var(--line);
  stroke-width: 1.2;
}
.cut {
  fill: var(--metal);
  stroke: var(--ink);
  stroke-width: 1.2;
  stroke-linejoin: round;
}
.helix {
  stroke: var(--ink);
  stroke-width: 0.8;
}
.now {
  fill: var(--shade);
  stroke: var(--coral);
  stroke-width: 1.2;
  stroke-linejoin: round;
}
</style>
