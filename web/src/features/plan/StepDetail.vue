<script setup lang="ts">
import { computed } from 'vue'

import type { Operation } from '@/shared/api/client'
import CautionLine from '@/shared/controls/CautionLine.vue'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { named } from '@/shared/figures/labelled'
import StepSentence from '@/shared/figures/StepSentence.vue'
import { useUnits } from '@/shared/figures/useUnits'

/** The chosen step in full: the sentence, the figures, the caution, the working when asked. */
const props = defineProps<{ step: Operation; walk?: boolean }>()
const { told } = useUnits()
const figures = computed(() =>
  props.step.figures.map(({ key, figure }) => ({ ...named(figure), both: key === props.step.headline })),
)
</script>

<template>
  <section class="detail" :aria-label="step.title">
    <p v-if="step.zero" class="zero">◇ {{ step.zero }}</p>
    <div class="do">
      <h2><StepSentence :step="step" /></h2>
      <p class="muted small">
        {{ step.tool }}<template v-if="step.edge">, {{ step.edge }}</template>
      </p>
    </div>
    <CautionLine :cautions="step.cautions" />
    <FigureRow :key="step.key" :figures="figures" />
    <p v-if="step.passes.length" class="passes">
      <span class="muted">Cuts ({{ step.passes_told }}):</span>
      <template v-for="(pass, n) in step.passes" :key="n">
        <span v-if="n" class="muted" aria-hidden="true">→</span>
        <span class="fig" :title="pass.name">{{ told(pass.shown).text }}</span>
      </template>
      <span v-if="step.passes_end" class="muted">{{ step.passes_end }}</span>
    </p>
    <slot></slot>
    <details v-if="step.why" class="why" :open="walk">
      <summary>Why this step</summary>
      {{ step.why }}
    </details>
    <ul v-if="step.notes.length">
      <li v-for="note in step.notes" :key="note"><StepSentence :step="step" :words="note" /></li>
    </ul>
  </section>
</template>

<style scoped>
.detail {
  display: grid;
  gap: 8px;
  align-content: start;
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
  padding: 8px 16px;
}
.do {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
  align-items: baseline;
}
.zero {
  color: var(--lagoon);
}
.passes {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
}
</style>
