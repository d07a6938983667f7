<script setup lang="ts">
import type { Operation } from '@/api/client'
import { useUnits } from '@/composables/useUnits'

/** The steps as a numbered run, each with its one key figure. */
defineProps<{ steps: Operation[]; chosen: string }>()
const emit = defineEmits<{ choose: [string] }>()
const { text } = useUnits()

function key(step: Operation): string {
  const figure = step.figures.find((f) => f.key === step.headline)?.figure
  return `${step.headline_words} ${figure ? text(figure.shown) : ''}`.trim()
}
</script>

<template>
  <ol class="steps">
    <li v-for="(step, n) in steps" :key="step.key">
      <button
        type="button"
        class="step"
        :class="{ chosen: step.key === chosen }"
        :aria-current="step.key === chosen ? 'step' : undefined"
        @click="emit('choose', step.key)"
      >
        <span class="n fig">{{ n + 1 }}</span>
        <span class="title">{{ step.title }}</span>
        <span class="fig key">{{ key(step) }}</span>
      </button>
    </li>
  </ol>
</template>

<style scoped>
.step {
  display: grid;
  grid-template-columns: 28px 1fr auto;
  gap: 10px;
  width: 100%;
  text-align: left;
  border: 0;
  border-left: 5px solid transparent;
  border-radius: var(--round);
  background: none;
  padding: 7px 12px 7px 8px;
  cursor: pointer;
  align-items: baseline;
}
.step:hover {
  background: var(--quiet);
}
.chosen {
  background: var(--surface);
  border-left-color: var(--coral);
  font-weight: 700;
}
.n {
  color: var(--muted);
  text-align: right;
}
.chosen .n,
.chosen .key {
  color: var(--coral);
}
.key {
  white-space: nowrap;
}
</style>
