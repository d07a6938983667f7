<script setup lang="ts">
import StepList from '@/features/plan/StepList.vue'
import type { Operation, Plan } from '@/shared/api/client'
import FigureRow from '@/shared/figures/FigureRow.vue'

/** The steps from first to last, what they take together, and what is to be said of them. */
defineProps<{ plan: Plan; steps: Operation[]; chosen: string }>()
const emit = defineEmits<{ choose: [step: string] }>()
</script>

<template>
  <div class="run">
    <StepList
      :steps="steps"
      :holdings="plan.holdings ?? []"
      :chosen="chosen"
      @choose="(step) => emit('choose', step)"
    />
    <FigureRow :figures="plan.batch.map((figure) => ({ label: figure.name, figure }))" />
    <p
      v-for="note in plan.notices.filter((one) => !one.first)"
      :key="note.code + note.field + note.text"
      class="notice"
    >
      ◆ {{ note.text }}
    </p>
  </div>
</template>

<style scoped>
/* The steps stay beside what is seen of them, however long that is. */
.run {
  display: grid;
  gap: 12px;
  align-content: start;
  position: sticky;
  top: 8px;
  max-height: calc(100vh - 16px);
  overflow-y: auto;
  scrollbar-width: thin;
}
.notice {
  color: var(--caution);
}
@media (max-width: 1100px) {
  .run {
    position: static;
    max-height: none;
  }
}
</style>
