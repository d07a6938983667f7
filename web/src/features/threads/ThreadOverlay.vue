<script setup lang="ts">
import { computed } from 'vue'

import { ask, client, type Figure } from '@/shared/api/client'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { named } from '@/shared/figures/labelled'
import InlineField from '@/shared/controls/InlineField.vue'
import SheetDrawing from '@/shared/drawing/SheetDrawing.vue'
import { useLive } from '@/shared/api/useLive'

/** Lay a nut of another thread over this bolt: a verdict, why, and the picture. */
const props = defineProps<{ bolt: string }>()
const nut = defineModel<string>('nut', { required: true })
const { found, problem } = useLive(
  'overlay',
  () => (nut.value.trim() ? `${props.bolt}\n${nut.value.trim()}` : null),
  () =>
    ask(
      client.GET('/api/threads/mating', { params: { query: { bolt: props.bolt, nut: nut.value.trim() } } }),
    ),
)
const MARKS = {
  fits: '✓',
  'goes-on': '▲',
  binds: '✗',
  'will-not-start': '✕',
  'nothing-holds': '✕',
} as const
const figures = computed<{ label: string; figure: Figure }[]>(() => [
  ...(found.value?.figures ?? []).map(named),
  ...(found.value?.meetings ?? []).map((met) => ({ label: met.clearance.name, figure: met.clearance })),
])
</script>

<template>
  <section class="overlay" aria-label="Compare with another thread">
    <h2>Compare with another thread</h2>
    <p>
      <InlineField
        v-model="nut"
        label="Nut of another thread"
        before="nut"
        :after="`on a ${bolt} bolt`"
        placeholder="e.g. M6"
        figure
        :error="
          problem?.errors[0] ??
          (problem ? { code: '', field: '', message: problem.message, choices: [] } : undefined)
        "
      />
    </p>
    <template v-if="found && !problem">
      <p class="verdict" :class="found.verdict" role="status">
        <span aria-hidden="true">{{ MARKS[found.verdict] }}</span> {{ found.sentence }}
      </p>
      <SheetDrawing told :sheet="found.drawing" />
      <FigureRow :figures="figures" />
    </template>
  </section>
</template>

<style scoped>
.overlay {
  display: grid;
  gap: 12px;
}
.verdict {
  font-size: var(--s20);
  font-weight: 700;
  color: var(--caution);
}
.verdict.fits {
  color: var(--good);
}
.verdict.will-not-start,
.verdict.nothing-holds {
  color: var(--stop);
}
</style>
