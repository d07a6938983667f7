<script setup lang="ts">
import { nextTick, useTemplateRef, watch } from 'vue'

import type { Operation } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'
import { useWidth } from '@/shared/state/useWidth'

/** The steps as a numbered run, each with its one key figure. */
const props = defineProps<{ steps: Operation[]; holdings: string[]; chosen: string }>()
const emit = defineEmits<{ choose: [string] }>()
const { text } = useUnits()
/** Upright the steps are a strip: the chosen one is in sight in it, as soon as it is shown. */
const list = useTemplateRef<HTMLElement>('list')
const width = useWidth(list, 0)
watch([width, () => props.chosen], async () => {
  await nextTick()
  const row = list.value?.querySelector<HTMLElement>('[aria-current=step]')
  if (row) list.value?.scrollTo({ left: row.offsetLeft - 16 })
})
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
  <ol ref="list" class="steps" data-strip>
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
@media (max-width: 1100px) {
  .steps {
    position: relative;
    display: flex;
    align-items: stretch;
    gap: 8px;
    overflow-x: auto;
    scrollbar-width: thin;
  }
  .steps li {
    flex: 0 0 196px;
    display: grid;
    align-content: end;
  }
  .end {
    padding: 0;
  }
  .step {
    grid-template-columns: 24px 1fr;
    gap: 0 8px;
    align-content: start;
    min-height: 72px;
    border-left: 0;
    border-bottom: 4px solid transparent;
    border-radius: var(--round) var(--round) 0 0;
  }
  .step .key {
    grid-column: 2;
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
