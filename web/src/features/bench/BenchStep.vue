<script setup lang="ts">
import type { BenchNow } from '@/features/bench/projected'
import MissingKit from '@/shared/jobs/MissingKit.vue'
import StepTools from '@/shared/jobs/StepTools.vue'
import StepSentence from '@/shared/figures/StepSentence.vue'
import type { Operation } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** What is to be done now: what comes before it, the sentence, what it is done with. */
const props = defineProps<{ id: number; bench: BenchNow; step: Operation; oil: string }>()
const { words } = useUnits(() => props.bench.unit)
</script>

<template>
  <div>
    <h1><StepSentence :step="step" /></h1>
    <div class="beneath">
      <p v-if="bench.zero || oil" class="first">◇ {{ bench.zero || oil }}</p>
      <p v-if="bench.outdated" class="outdated" role="status">≠ {{ words(bench.outdated) }}</p>
      <p v-if="step.tool && step.measure !== 'verdict'" class="tool muted">{{ step.tool }}</p>
      <StepTools :id="id" class="tools" :part="bench.part" :revision="bench.revision" :step="step.key" />
      <MissingKit
        v-if="bench.piece === 1 && bench.steps[0]?.state !== 'done'"
        :id="id"
        :part="bench.part"
        :revision="bench.revision"
      />
      <p v-if="$route.query.walk === '1' && step.why" class="walk" role="note">{{ step.why }}</p>
    </div>
  </div>
</template>

<style scoped>
h1 {
  line-height: 1.25;
}
.first {
  font-size: var(--s20);
  font-weight: 700;
  color: var(--lagoon);
}
.outdated {
  color: var(--caution);
  font-size: var(--s20);
  margin-bottom: 4px;
}
.tool {
  font-size: var(--s20);
  margin-top: 4px;
}
.walk {
  color: var(--lagoon);
  margin-top: 4px;
}
/* A desk: the sentence has two lines, what is to be said of the step as much again beside the drawing, whether they
   need it or not. So the figure stands where it stood at the step before. */
@media (min-width: 1240px) and (min-height: 790px) {
  h1 {
    min-height: 2.5em;
  }
  .beneath {
    min-height: 48px;
    max-width: calc(100% - 576px);
  }
  .tool {
    margin-top: 0;
    line-height: 24px;
  }
}
@media (max-width: 600px) {
  h1 {
    font-size: var(--s20);
  }
  .tool,
  .first,
  .outdated {
    font-size: var(--s16);
    margin-top: 0;
  }
}
</style>
