<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import BatchGrid from '@/features/batch/BatchGrid.vue'
import { asProblem, ask, client } from '@/shared/api/client'
import WaitingSign from '@/shared/controls/WaitingSign.vue'
import EmptyShell from '@/shared/controls/EmptyShell.vue'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { named } from '@/shared/figures/labelled'
import { provideUnit } from '@/shared/figures/useUnits'
import { useTitle } from '@/shared/state/useTitle'

/** A batch as it stands: every size from piece to piece, every thread as it was gauged, the bar, the first one's card. */
const props = defineProps<{ id: number; part: number }>()
const { data: told, error } = useQuery({
  queryKey: computed(() => ['batch', props.id, props.part]),
  queryFn: () =>
    ask(
      client.GET('/api/jobs/{job_id}/batch', {
        params: { path: { job_id: props.id }, query: { part: props.part } },
      }),
    ),
})
const { data: bench } = useQuery({
  queryKey: computed(() => ['bench', 'named', props.id]),
  queryFn: () => ask(client.GET('/api/jobs/{job_id}/bench', { params: { path: { job_id: props.id } } })),
})
provideUnit(() => bench.value?.unit)
useTitle(() => bench.value && `${bench.value.title}, batch`)
const empty = computed(() => told.value && !told.value.sizes.length && !told.value.threads.length)
</script>

<template>
  <div class="batch">
    <header class="head">
      <h1>{{ bench ? `Batch: ${bench.title}` : 'Batch' }}</h1>
      <span v-if="told" class="pieces"
        ><strong class="fig">{{ told.good }}</strong> of {{ told.quantity }} pieces good<template
          v-if="told.scrapped"
          >, ✗ {{ told.scrapped }} scrapped</template
        ></span
      >
      <template v-if="!error">
        <router-link v-if="empty || told?.in_hand === null" :to="{ name: 'bench', params: { id } }"
          >Open the bench</router-link
        >
        <router-link :to="{ name: 'plan', params: { id } }">Open the plan</router-link>
      </template>
    </header>
    <EmptyShell v-if="error">
      <span role="alert">{{
        asProblem(error).of('part') ? `This job has no part ${part}.` : asProblem(error).message
      }}</span>
      <router-link to="/">Back to Jobs</router-link>
    </EmptyShell>
    <WaitingSign v-if="!told && !error" what="the batch" />
    <EmptyShell v-if="empty"
      >No readings yet. Sizes and gauge results appear here as you record them at the bench.</EmptyShell
    >
    <template v-if="told && !empty">
      <BatchGrid class="rows" :batch="told" />
      <aside class="side">
        <section v-if="told.in_hand !== null" class="now" aria-label="Next">
          <p class="small muted">Piece {{ told.in_hand }}, next</p>
          <p class="next">{{ told.next }}</p>
          <v-btn color="secondary" :to="{ name: 'bench', params: { id } }">Open the bench</v-btn>
        </section>
        <section v-if="told.bar.length" class="bar" aria-label="Bar">
          <FigureRow :figures="told.bar.map(named)" />
        </section>
        <section v-if="told.card.length" aria-label="First good piece">
          <h2>First good piece (piece {{ told.first }})</h2>
          <dl class="card">
            <template v-for="(line, n) in told.card" :key="n">
              <dt>{{ line.title }}</dt>
              <dd>{{ line.told }}</dd>
            </template>
          </dl>
        </section>
      </aside>
    </template>
  </div>
</template>

<style scoped>
.batch {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 296px;
  gap: 16px 24px;
  align-items: start;
}
.batch > :not(.rows, .side) {
  grid-column: 1 / -1;
}
.side {
  display: grid;
  gap: 16px;
}
.now {
  display: grid;
  gap: 8px;
  padding: 16px 24px;
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
}
.next {
  font-size: var(--s20);
  font-weight: 700;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  align-items: baseline;
}
.pieces {
  font-size: var(--s20);
}
.bar {
  --block: 120px;
}
.card dt {
  color: var(--muted);
  font-size: var(--s14);
}
.card dd {
  margin: 0 0 8px;
}
@media (max-width: 1000px) {
  .batch {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
