<script setup lang="ts">
import { computed, ref } from 'vue'

import type { Beginning } from '@/features/start/useStart'

/** The shapes a job may begin as, drawn; one of them is chosen. Once it is, they make room for its form. */
const props = defineProps<{ beginnings: Beginning[]; chosen: string }>()
const emit = defineEmits<{ choose: [code: Beginning['code']] }>()

/** Shapes that stand together, in the order they come in. */
const groups = computed(() => [...new Set(props.beginnings.map((one) => one.group))])
/** On a phone the chosen one stands alone until another is wanted. */
const open = ref(false)
function choose(code: Beginning['code']) {
  open.value = false
  emit('choose', code)
}
const STEPS: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }
/** Radios are one stop of the Tab key: the one that is chosen, else the first. */
const reached = (code: string, place: number) =>
  props.beginnings.some((one) => one.code === props.chosen) ? code === props.chosen : place === 0
/** An arrow chooses the next one, round and round. */
function turn(event: KeyboardEvent, place: number) {
  const by = STEPS[event.key]
  const next = by && props.beginnings.at((place + by) % props.beginnings.length)
  if (!next) return
  event.preventDefault()
  const radios = (event.currentTarget as HTMLElement)
    .closest('[role=radiogroup]')
    ?.querySelectorAll<HTMLElement>('[role=radio]')
  emit('choose', next.code)
  radios?.[props.beginnings.indexOf(next)]?.focus()
}
</script>

<template>
  <div class="pictures" :class="{ chosen: chosen && !open }" role="radiogroup" aria-label="Shape">
    <div v-for="group in groups" :key="group" class="group">
      <p class="small muted" aria-hidden="true">{{ group }}</p>
      <template v-for="(one, place) in beginnings" :key="one.code">
        <button
          v-if="one.group === group"
          type="button"
          role="radio"
          :aria-checked="one.code === chosen"
          :aria-labelledby="`shape-${one.code}`"
          :aria-describedby="`shape-${one.code}-remark`"
          :tabindex="reached(one.code, place) ? 0 : -1"
          @click="choose(one.code)"
          @keydown="turn($event, place)"
        >
          <svg :viewBox="`0 0 ${one.picture.width} ${one.picture.height}`" aria-hidden="true">
            <path v-for="(p, n) in one.picture.paths" :key="n" :d="p.d" :class="p.role" />
          </svg>
          <span :id="`shape-${one.code}`">{{ one.name }}</span>
          <span :id="`shape-${one.code}-remark`" class="remark muted">{{ one.remark }}</span>
        </button>
      </template>
    </div>
    <plain-btn class="others" @click="open = true">Choose another shape</plain-btn>
  </div>
</template>

<style scoped>
.pictures {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 16px 8px;
  margin: 12px 0 16px;
}
.group {
  grid-column: span 3;
  display: grid;
  grid-template-columns: subgrid;
  grid-template-rows: auto 1fr;
  gap: 8px;
}
.group > p {
  grid-column: 1 / -1;
}
.group:first-child {
  grid-column: 1 / -1;
}
.others {
  display: none;
}
button[role='radio'] {
  display: grid;
  grid-template-rows: 76px auto 1fr;
  align-items: center;
  justify-items: center;
  gap: 0 4px;
  padding: 8px 8px 12px;
  font: inherit;
  line-height: 1.25;
  color: var(--ink);
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
  cursor: pointer;
}
button[role='radio']:hover {
  border-color: var(--lagoon);
}
button[aria-checked='true'] {
  outline: 2px solid var(--lagoon);
  outline-offset: -2px;
  font-weight: 700;
}
.remark {
  align-self: start;
  font-size: var(--s14);
}
svg {
  width: 100%;
  height: 72px;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-linejoin: round;
}
.part {
  fill: var(--metal);
  stroke-width: 1.6;
}
.bore {
  fill: var(--surface);
  stroke-width: 1.2;
}
.edge {
  stroke-width: 1.2;
}
.thread {
  stroke-width: 0.8;
}
.hatch {
  stroke: none;
}
.ghost {
  stroke: var(--coral);
  stroke-width: 1.2;
  stroke-dasharray: 6 4;
}
@media (max-width: 900px) {
  .pictures {
    grid-template-columns: repeat(3, 1fr);
  }
}
@media (max-width: 520px) {
  .pictures {
    gap: 12px 4px;
  }
  .group {
    gap: 4px;
  }
  button[role='radio'] {
    grid-template-rows: 48px auto;
    padding: 4px;
    font-size: var(--s14);
  }
  svg {
    height: 40px;
  }
  .remark {
    display: none;
  }
}
/* Once one is chosen they make room for its form. */
.chosen {
  grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
  gap: 4px;
  margin: 8px 0 12px;
}
.chosen .group {
  display: contents;
}
.chosen p,
.chosen .remark {
  display: none;
}
.chosen button[role='radio'] {
  grid-template-rows: 26px auto;
  align-content: start;
  gap: 4px;
  padding: 4px;
  font-size: var(--s14);
  line-height: 1.2;
}
.chosen svg {
  height: 26px;
}
@media (min-width: 1200px) {
  .chosen {
    grid-template-columns: none;
    grid-auto-flow: column;
    grid-auto-columns: minmax(0, 1fr);
  }
}
@media (max-width: 520px) {
  .chosen {
    grid-template-columns: 1fr 1fr;
    align-items: center;
  }
  .chosen button[role='radio'][aria-checked='false'] {
    display: none;
  }
  .chosen .others {
    display: block;
    min-height: 44px;
  }
}
</style>
