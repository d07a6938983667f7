<script setup lang="ts">
import { computed, nextTick, ref, useId } from 'vue'

import type { FieldError, Schemas, Sheet } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** The part in the chuck: hover or choose metal to see its step, press a dimension to type over it. */
const props = defineProps<{
  sheet: Sheet
  step?: string
  values?: Record<string, string>
  errors?: Record<string, FieldError>
  fixed?: boolean
}>()
const emit = defineEmits<{ step: [string]; edit: [field: string, value: string]; commit: [] }>()

const { words } = useUnits()
const section = useId()
const editing = ref<Schemas['LabelShown'] | null>(null)
const input = ref<HTMLInputElement | null>(null)

/** The work as the chosen step finds it; an answer kept from before knows the finished part alone. */
const still = computed(() =>
  props.sheet.paths.filter((p) => !p.step && (!p.steps?.length || p.steps.includes(props.step ?? ''))),
)
const removals = computed(() => props.sheet.paths.filter((p) => p.role === 'removal'))
/** The tool of the chosen step, and the lines that say how it is set. */
const tools = computed(() =>
  props.sheet.paths.filter((p) => p.role !== 'removal' && p.step && p.step === props.step),
)
const labels = computed(() => props.sheet.labels.filter((l) => !l.step || l.step === props.step))
const place = (label: Schemas['LabelShown']) => ({
  left: `${(label.x / props.sheet.width) * 100}%`,
  top: `${((label.y - 5) / props.sheet.height) * 100}%`,
})
/** What a finger finds of a dimension: its words, and as much round them as the rows leave. */
const CHAR = 8.85
const TALL = 30
function hit(label: Schemas['LabelShown']) {
  const wide = Math.max(48, CHAR * words(label).length + 12)
  const before = { start: 6, middle: wide / 2, end: wide - 6 }[label.anchor]
  return { x: label.x - before, y: label.y - 5 - TALL / 2, width: wide, height: TALL }
}
const editable = (label: Schemas['LabelShown']) => !props.fixed && label.field !== ''

/** What stood there when it was pressed: Escape puts it back. */
let before = ''
let pressed: SVGGElement | null = null
async function edit(label: Schemas['LabelShown'], event: Event) {
  if (!editable(label)) return
  pressed = event.currentTarget as SVGGElement
  editing.value = label
  before = props.values?.[label.field] ?? ''
  await nextTick()
  input.value?.focus()
  input.value?.select()
}
function forget() {
  if (editing.value) emit('edit', editing.value.field, before)
  close()
}
/** By a key: what was pressed has the focus again. */
function close() {
  leave()
  pressed?.focus()
}
function leave() {
  if (!editing.value) return
  editing.value = null
  emit('commit')
}
</script>

<template>
  <div class="drawing" :style="{ '--aspect': sheet.width / sheet.height }">
    <svg :viewBox="`0 0 ${sheet.width} ${sheet.height}`" role="group" :aria-label="sheet.title">
      <pattern :id="section" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V7" class="section" />
      </pattern>
      <path
        v-for="(p, n) in still"
        :key="`s${n}`"
        :d="p.d"
        :class="p.role"
        :fill="p.role === 'hatch' ? `url(#${section})` : undefined"
      />
      <path
        v-for="(p, n) in removals"
        :key="`r${n}`"
        :d="p.d"
        class="removal"
        :class="{ chosen: p.step === step }"
        @click="emit('step', p.step)"
      />
      <path v-for="(p, n) in tools" :key="`t${n}`" :d="p.d" :class="p.role" />
      <g
        v-for="(label, n) in labels"
        :key="`l${n}`"
        :class="{ editable: editable(label), note: label.step }"
        :role="editable(label) ? 'button' : undefined"
        :tabindex="editable(label) ? 0 : undefined"
        :aria-label="editable(label) ? `Change ${words(label)}` : undefined"
        @click="edit(label, $event)"
        @keydown.enter.prevent="edit(label, $event)"
        @keydown.space.prevent="edit(label, $event)"
      >
        <rect v-if="editable(label)" class="hit" v-bind="hit(label)" />
        <text :x="label.x" :y="label.y" :text-anchor="label.anchor">{{ words(label) }}</text>
      </g>
    </svg>
    <div v-if="editing" class="over" :style="place(editing)">
      <input
        ref="input"
        class="fig"
        aria-label="New value"
        :value="values?.[editing.field] ?? ''"
        :aria-invalid="errors?.[editing.field] !== undefined"
        maxlength="60"
        @input="emit('edit', editing.field, ($event.target as HTMLInputElement).value)"
        @keydown.enter.prevent="close"
        @keydown.esc.stop="forget"
        @blur="leave"
      />
      <p v-if="errors?.[editing.field]" class="field-error">{{ errors[editing.field]?.message }}</p>
    </div>
  </div>
</template>

<style scoped>
/* As wide as its place, or as the height that this leaves it (--high) makes it. */
.drawing {
  position: relative;
  max-width: calc(var(--high, 200vh) * var(--aspect));
}
svg {
  display: block;
  width: 100%;
  height: auto;
}
path:where(:not(.hatch)) {
  fill: none;
  stroke-linejoin: round;
}
.part {
  fill: var(--metal);
  stroke: var(--ink);
  stroke-width: 1.6;
}
/* A mate that is not made here. */
.nut {
  fill: var(--quiet);
  stroke: var(--ink);
  stroke-width: 1.2;
}
.edge {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.thread {
  stroke: var(--ink);
  stroke-width: 0.8;
}
.centre {
  stroke: var(--muted);
  stroke-width: 0.8;
  stroke-dasharray: 14 3 3 3;
}
.section {
  stroke: var(--muted);
  stroke-width: 0.8;
  opacity: 0.55;
}
/* What holds the part is lighter than the part. */
.chuck,
.jaw {
  fill: var(--surface);
  stroke: var(--muted);
  stroke-width: 0.8;
}
.ghost {
  stroke: var(--coral);
  stroke-width: 0.8;
  stroke-dasharray: 6 4;
  opacity: 0.75;
}
.dimension {
  stroke: var(--muted);
  stroke-width: 0.8;
}
.aim {
  stroke: var(--muted);
  stroke-width: 0.8;
  stroke-dasharray: 6 4;
}
.bore {
  fill: var(--sheet, var(--surface));
  stroke: var(--ink);
  stroke-width: 1.6;
  stroke-linejoin: round;
}
.hidden {
  stroke: var(--ink);
  stroke-width: 1.2;
  stroke-dasharray: 6 4;
}
.leader {
  stroke: var(--muted);
  stroke-width: 0.8;
}
.arrow {
  fill: var(--muted);
}
.removal {
  fill: transparent;
  cursor: pointer;
}
.removal:hover {
  fill: var(--shade);
}
.removal.chosen {
  fill: var(--shade);
  stroke: var(--coral);
  stroke-width: 1.6;
}
.tool {
  fill: var(--coral);
  pointer-events: none;
}
text {
  font: 14px var(--figures);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--surface);
  stroke-width: 5px;
  stroke-linejoin: round;
}
.note text {
  font-family: var(--words);
  fill: var(--coral);
}
.hit {
  fill: transparent;
}
.editable {
  cursor: text;
}
.editable:hover text,
.editable:focus-visible text {
  fill: var(--lagoon);
  text-decoration: underline 1px;
  text-underline-offset: 4px;
}
.over {
  position: absolute;
  transform: translate(-50%, -50%);
  z-index: 2;
}
.over input {
  width: 9em;
  font-size: var(--s16);
  text-align: center;
  padding: 4px;
  border: 2px solid var(--lagoon);
  border-radius: var(--tight);
  background: var(--surface);
  color: var(--ink);
}
.over .field-error {
  position: absolute;
  width: 22em;
  background: var(--surface);
  padding: 4px 8px;
}
</style>
