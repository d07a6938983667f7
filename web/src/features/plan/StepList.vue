<script setup lang="ts">
import type { Operation } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** The steps as a numbered run, each with its one key figure. */
const props = defineProps<{ steps: Operation[]; holdings: string[]; chosen: string }>()
const emit = defineEmits<{ choose: [string] }>()
const { text } = useUnits()
function key(step: Operation): string {
  const figure = step.figures.find((f) => f.key === step.headline)?.figure
  return `${step.headline_words} ${figure ? text(figure.shown) : ''}`.trim()
}
/** The heading where another holding of the work begins; what is done off the lathe at the end has none. */
function ends(at: number): string {
  const now = props.steps[at]?.chucking
  const begun = props.steps.slice(0, at).some((step) => step.chucking === now)
  if (begun || !props.steps.some((step) => step.chucking > 1)) return ''
  return props.holdings[(now ?? 1) - 1] ?? ''
}
</script>

<template>
  <ol class="steps">
    <li v-for="(step, n) in steps" :key="step.key">
      <p v-if="ends(n)" class="end muted small">{{ ends(n) }}</p>
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
  gap: 8px;
  width: 100%;
  text-align: left;
  border: 0;
  border-left: 4px solid transparent;
  border-radius: 0 var(--round) var(--round) 0;
  background: none;
  padding: 4px 12px 4px 4px;
  cursor: pointer;
  align-items: baseline;
}
.end {
  padding: 4px 0 0 48px;
  font-weight: 700;
}
@media (pointer: coarse) {
  .step {
    min-height: 44px;
    align-items: center;
  }
}
/* Upright: rows of a few steps each, over the drawing. */
@media (min-width: 521px) and (max-width: 1100px) {
  .steps {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(148px, 1fr));
    gap: 4px 8px;
  }
  .steps li {
    display: grid;
    align-content: end;
  }
  .end {
    padding: 0;
  }
  .step {
    grid-template-columns: 24px 1fr;
    gap: 0 8px;
    border-left: 0;
    border-bottom: 4px solid transparent;
    border-radius: var(--round) var(--round) 0 0;
  }
  .step .key {
    grid-column: 2;
    white-space: normal;
  }
  .chosen {
    border-bottom-color: var(--lagoon);
  }
}
.step:hover {
  background: var(--quiet);
}
.chosen {
  background: var(--surface);
  border-left-color: var(--lagoon);
  font-weight: 700;
}
.n {
  color: var(--muted);
  text-align: right;
}
.chosen .key {
  color: var(--coral);
}
.key {
  white-space: nowrap;
}
</style>
