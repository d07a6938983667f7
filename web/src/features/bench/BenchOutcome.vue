<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import type { BenchNow } from '@/features/bench/projected'
import { useBecomes } from '@/features/bench/useBecomes'
import { ask, client } from '@/shared/api/client'
import DieStory from '@/shared/jobs/DieStory.vue'
import PartDrawing from '@/shared/drawing/PartDrawing.vue'
import { useUnits } from '@/shared/figures/useUnits'
import BusyButton from '@/shared/controls/BusyButton.vue'
import FittersOnly from '@/shared/controls/FittersOnly.vue'

/** A finished batch: what was made, how the die stood when it cut well, what went wrong; or a part without a plan. */
const props = defineProps<{ id: number; bench: BenchNow }>()
const { text } = useUnits()
const { data: outcome } = useQuery({
  queryKey: computed(() => ['outcome', props.id, props.bench.last]),
  queryFn: () => ask(client.GET('/api/log/jobs/{job_id}', { params: { path: { job_id: props.id } } })),
})
const parts = computed(() =>
  props.bench.parts.map((part) => ({ ...part, ...outcome.value?.parts.find((one) => one.part === part.id) })),
)
const becomes = useBecomes(props.id, () => props.bench.becomes)
const good = computed(() => props.bench.parts.reduce((sum, part) => sum + part.good, 0))
const wanted = computed(() => props.bench.parts.reduce((sum, part) => sum + part.quantity, 0))
</script>

<template>
  <section v-if="!bench.steps.length" class="outcome" aria-label="No plan">
    <h1>This part cannot be made like this.</h1>
    <p>
      <router-link :to="{ name: 'plan', params: { id } }">The plan says why, and what to change.</router-link>
    </p>
  </section>
  <section v-else class="outcome" aria-label="Result">
    <h1>
      <span class="big">{{ good }} of {{ wanted }}</span> pieces made
    </h1>
    <p v-if="bench.becomes" class="becomes">
      <span v-if="becomes.done.value" class="good" role="status"
        >✓ Added to the shop: {{ bench.becomes }}.</span
      >
      <FittersOnly v-else>
        <BusyButton color="secondary" size="large" :busy="becomes.busy.value" @click="becomes.put"
          >Add to the shop: {{ bench.becomes }}</BusyButton
        >
      </FittersOnly>
      <span v-if="becomes.problem.value" class="field-error" role="alert">{{
        becomes.problem.value.message
      }}</span>
    </p>
    <div class="middle">
      <div class="told">
        <ul class="parts">
          <li v-for="part in parts" :key="part.id">
            <b v-if="parts.length > 1">{{ part.name }}:</b>
            {{ part.good }} good<template v-if="part.scrapped">, {{ part.scrapped }} scrapped</template>,
            {{ part.gauged ? `${part.gauged} gauged` : 'none gauged' }}
          </li>
        </ul>
        <template v-if="outcome?.dies.length">
          <h2>Die setting that cut good threads</h2>
          <DieStory :dies="outcome.dies" />
        </template>
        <template v-if="outcome">
          <h2>What went wrong</h2>
          <p v-if="!outcome.troubles.length" class="good">✓ No trouble recorded.</p>
          <ol v-else>
            <li v-for="trouble in outcome.troubles" :key="trouble.id">
              <span class="muted small"
                >{{ trouble.part ? `${trouble.part}, ` : '' }}piece {{ trouble.piece }},
                {{ trouble.step }}</span
              >
              {{ trouble.what }}
              <b v-if="trouble.reading" class="fig">{{ text(trouble.reading) }}</b>
              <strong>{{ trouble.said }}</strong>
            </li>
          </ol>
          <p v-if="outcome.more">
            <router-link :to="{ name: 'log' }">Show all in the log</router-link>
          </p>
        </template>
      </div>
      <PartDrawing :sheet="bench.drawing" fixed />
    </div>
  </section>
</template>

<style scoped>
.outcome {
  display: grid;
  gap: 16px;
}
.big {
  font-size: var(--s44);
}
.middle {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 16px 32px;
  align-items: start;
}
.told {
  display: grid;
  gap: 8px;
}
h2 {
  font-size: var(--s20);
  margin-top: 8px;
}
ol li {
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.good {
  color: var(--good);
}
@media (max-width: 900px) {
  .middle {
    grid-template-columns: minmax(0, 1fr);
  }
}
/* Title and figure are one here: what is pressed stays at the foot. */
@media (min-width: 521px) {
  .outcome {
    grid-row: 2 / 4;
    align-content: start;
  }
}
</style>
