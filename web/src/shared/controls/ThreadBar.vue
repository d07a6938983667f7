<script setup lang="ts">
import { computed } from 'vue'

/** Progress drawn as a thread being cut along a bar: one turn a step or piece. */
const props = defineProps<{ total: number; done: number; now?: number; label: string }>()

const LENGTH = 320
const DEEP = 14
const TURNS = 48
const PITCH = LENGTH / TURNS

/** Turns drawn are always as many, in proportion: a thread looks like a thread on any bar. */
const at = (units: number) => Math.round((units / Math.max(1, props.total)) * TURNS)
const cut = computed(() => at(props.done))
const next = computed(() => Math.max(cut.value + 1, at(props.done + (props.now ?? 0))))

function teeth(from: number, to: number): string {
  let path = ''
  for (let turn = from; turn < to; turn++) {
    const x = turn * PITCH
    path += `M${x} 20L${x + PITCH / 2} ${20 - DEEP}L${x + PITCH} 20Z`
  }
  return path
}
</script>

<template>
  <svg class="bar" viewBox="0 0 320 24" preserveAspectRatio="none" role="img" :aria-label="label">
    <rect x="0" y="6" width="320" height="16" rx="2" class="stock" />
    <path :d="teeth(0, cut)" class="done" />
    <path v-if="now && done < total" :d="teeth(cut, next)" class="now" />
  </svg>
</template>

<style scoped>
.bar {
  width: 100%;
  height: 24px;
  display: block;
}
.stock {
  fill: var(--quiet);
  stroke: var(--line);
}
.done {
  fill: var(--lagoon);
}
.now {
  fill: var(--coral);
}
</style>
