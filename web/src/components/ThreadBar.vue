<script setup lang="ts">
import { computed } from 'vue'

/** Progress drawn as a thread being cut along a bar: one turn a step or piece. */
const props = defineProps<{ total: number; done: number; now?: number; label: string }>()

const LENGTH = 320
const DEEP = 14
const MOST_TURNS = 64

/** Turns drawn: long runs are drawn to fewer turns, in proportion. */
const turns = computed(() => Math.max(1, Math.min(props.total, MOST_TURNS)))
const cut = computed(() => (props.done / Math.max(1, props.total)) * turns.value)
const pitch = computed(() => LENGTH / turns.value)

function teeth(from: number, to: number): string {
  let path = ''
  for (let turn = Math.floor(from); turn < Math.ceil(to - 1e-9); turn++) {
    const x = turn * pitch.value
    path += `M${x} 20L${x + pitch.value / 2} ${20 - DEEP}L${x + pitch.value} 20Z`
  }
  return path
}
</script>

<template>
  <svg class="bar" viewBox="0 0 320 24" preserveAspectRatio="none" role="img" :aria-label="label">
    <rect x="0" y="6" width="320" height="16" rx="2" class="stock" />
    <path :d="teeth(0, Math.floor(cut))" class="done" />
    <path v-if="now && done < total" :d="teeth(Math.floor(cut), Math.floor(cut) + 1)" class="now" />
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
