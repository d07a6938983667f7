<script setup lang="ts">
import { nextTick, useTemplateRef, watch } from 'vue'

import StepList from '@/features/plan/StepList.vue'
import type { Operation, Plan } from '@/shared/api/client'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { named } from '@/shared/figures/labelled'

/** The steps from first to last, what they take together, and what is to be said of them. */
const props = defineProps<{ plan: Plan; steps: Operation[]; chosen: string }>()
const emit = defineEmits<{ choose: [step: string] }>()
/** A step that is turned to by a key, or on the drawing, is brought into sight: the list is rolled, never the page. */
const box = useTemplateRef<HTMLElement>('box')
watch([() => props.chosen, box], async () => {
  await nextTick()
  const row = box.value?.querySelector<HTMLElement>('[aria-current=step]')
  if (!box.value || !row) return
  const shown = box.value.getBoundingClientRect()
  const now = row.getBoundingClientRect()
  // Upright, the steps are a strip.
  row.closest('ol')?.scrollTo({ left: row.offsetLeft - 16 })
  box.value.scrollTop += Math.min(0, now.top - shown.top) + Math.max(0, now.bottom - shown.bottom)
})
</script>

<template>
  <div ref="box" class="run">
    <StepList
      :steps="steps"
      :holdings="plan.holdings ?? []"
      :chosen="chosen"
      @choose="(step) => emit('choose', step)"
    />
    <p
      v-for="note in plan.notices.filter((one) => !one.first)"
      :key="note.code + note.field + note.text"
      class="notice"
    >
      ◆ {{ note.text }}
    </p>
    <FigureRow list :figures="plan.batch.map(named)" />
  </div>
</template>

<style scoped>
/* The steps stay beside what is seen of them, however long that is. */
.run {
  display: grid;
  gap: 8px;
  align-content: start;
  overflow-y: auto;
  scrollbar-width: thin;
}
.notice {
  color: var(--caution);
  font-size: var(--s14);
}
/* Upright: the steps are a strip over the drawing, what is said of them all stands under it. */
@media (max-width: 1100px) {
  .run {
    display: contents;
  }
  .run > :not(ol) {
    order: 2;
  }
}
</style>
