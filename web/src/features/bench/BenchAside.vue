<script setup lang="ts">
import MeasuredThread from '@/features/bench/MeasuredThread.vue'
import type { BenchNow, SizeNow } from '@/features/bench/projected'
import ReadingsTable from '@/features/bench/ReadingsTable.vue'
import SizePicker from '@/features/bench/SizePicker.vue'
import type { Problem, Schemas, Unit } from '@/shared/api/client'
import PartDrawing from '@/shared/drawing/PartDrawing.vue'
import StepSentence from '@/shared/figures/StepSentence.vue'

/** Beside the figure: the part, what is measured of it and how it came so far, what to mind. */
const chosen = defineModel<string>({ required: true })
defineProps<{
  bench: BenchNow
  size: SizeNow | null
  dimension: Schemas['DimensionShown'] | null
  busy: boolean
  /** The thread may be measured over wires beside being tried. */
  wires: boolean
  problem: Problem | null
}>()
const emit = defineEmits<{ size: [reading: string, wire: string, unit: Unit, sure: boolean] }>()
</script>

<template>
  <aside>
    <PartDrawing class="sketch" :sheet="bench.drawing" :step="bench.step?.key" fixed />
    <div v-if="size" class="measured">
      <SizePicker
        v-if="dimension && !bench.zero"
        v-model="chosen"
        class="sizes"
        :bench="bench"
        :dimension="dimension"
      />
      <ReadingsTable
        v-if="size.readings.length && dimension"
        class="aside-more"
        :readings="size.readings"
        :name="dimension.name"
      />
    </div>
    <ul v-if="bench.step?.notes.length" class="notes muted aside-more">
      <li v-for="note in bench.step.notes" :key="note"><StepSentence :step="bench.step" :words="note" /></li>
    </ul>
    <MeasuredThread
      v-if="wires"
      class="aside-more"
      :bench="bench"
      :busy="busy"
      :reading="problem?.of('reading')"
      :wire="problem?.of('wire')"
      @size="(reading, wire, unit, sure) => emit('size', reading, wire, unit, sure)"
    />
  </aside>
</template>

<style scoped>
aside {
  --sheet: var(--ground);
  display: grid;
  gap: 12px;
  align-content: start;
}
.measured {
  display: grid;
  gap: 8px;
  align-content: start;
}
.notes {
  font-size: var(--s16);
}
/* Thick work near the jaws is drawn tall: the field stays in sight. */
.sketch :deep(svg) {
  max-height: 18vh;
}
@media (min-width: 1240px) and (min-height: 790px) {
  .sketch :deep(svg) {
    max-height: 28vh;
  }
}
@media (max-height: 790px) and (min-width: 901px) {
  aside,
  .measured {
    gap: 4px;
  }
}
@media (max-width: 900px) {
  aside {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 24px;
  }
}
/* A phone is one column with the bench's other parts: the band above the figure, the drawing in what height is left. */
@media (max-width: 600px) {
  aside,
  .measured {
    display: contents;
  }
  .sizes {
    order: 1;
  }
  .sketch {
    order: 3;
    flex: 1 1 0;
    min-height: 0;
    container-type: size;
  }
  .sketch :deep(svg) {
    height: 100%;
    max-height: none;
  }
  @container (max-height: 88px) {
    .sketch :deep(svg) {
      display: none;
    }
  }
  .aside-more {
    order: 5;
  }
}
</style>
