<script setup lang="ts">
import { computed, ref, watch } from 'vue'

import type { Operation } from '@/api/client'
import CautionLine from '@/components/CautionLine.vue'
import FigureValue from '@/components/FigureValue.vue'
import StepSentence from '@/components/StepSentence.vue'
import WorkingPanel from '@/components/WorkingPanel.vue'

/** The chosen step in full: the sentence, the figures, the caution, the working when asked. */
const props = defineProps<{ step: Operation }>()
const asked = ref('')
watch(
  () => props.step.key,
  () => (asked.value = ''),
)
const working = computed(() => props.step.figures.find((f) => f.key === asked.value)?.figure)
</script>

<template>
  <section class="detail" :aria-label="step.title">
    <h2><StepSentence :step="step" /></h2>
    <p class="muted small">
      {{ step.tool }}<template v-if="step.edge">, {{ step.edge }}</template>
    </p>
    <div class="figures">
      <FigureValue
        v-for="f in step.figures"
        :key="f.key"
        :figure="f.figure"
        :label="f.figure.name"
        :open="asked === f.key"
        @working="asked = asked === f.key ? '' : f.key"
      />
    </div>
    <WorkingPanel v-if="working" :figure="working" />
    <CautionLine :cautions="step.cautions" />
    <ul v-if="step.notes.length">
      <li v-for="note in step.notes" :key="note">{{ note }}</li>
    </ul>
  </section>
</template>

<style scoped>
.detail {
  display: grid;
  gap: 10px;
  align-content: start;
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
  padding: 18px 22px;
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
}
</style>
