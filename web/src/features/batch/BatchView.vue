<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import SizeChart from '@/features/batch/SizeChart.vue'
import { asProblem, ask, client, type Schemas } from '@/shared/api/client'
import WaitingSign from '@/shared/controls/WaitingSign.vue'
import EmptyShell from '@/shared/controls/EmptyShell.vue'
import FigureValue from '@/shared/figures/FigureValue.vue'
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
/** Pieces one after the other that were gauged alike. */
function runs(gauged: readonly Schemas['GaugedShown'][]) {
  const found: { from: number; to: number; said: string; passes: boolean }[] = []
  for (const { piece, said, passes } of gauged) {
    const last = found.at(-1)
    if (last?.said === said && last.to === piece - 1) last.to = piece
    else found.push({ from: piece, to: piece, said, passes })
  }
  return found
}
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
        <router-link :to="{ name: 'bench', params: { id } }">Open the bench</router-link>
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
      <section class="sizes" aria-label="Sizes">
        <SizeChart
          v-for="series in told.sizes"
          :key="`${series.step} ${series.measured}`"
          :series="series"
          :quantity="told.quantity"
        />
      </section>
      <section v-for="thread in told.threads" :key="thread.step" aria-label="Threads">
        <h2>
          {{ thread.title }} <span class="fig">{{ thread.thread }}</span>
        </h2>
        <ol class="gauged">
          <li v-for="one in runs(thread.gauged)" :key="one.from" :class="one.passes ? 'good' : 'bad'">
            <strong
              >{{ one.passes ? '✓' : '✗' }}
              {{ one.to > one.from ? `pieces ${one.from} to ${one.to}` : `piece ${one.from}` }}</strong
            >
            <span class="small">{{ one.said }}</span>
          </li>
        </ol>
      </section>
      <section v-if="told.bar.length" class="bar" aria-label="Bar">
        <FigureValue
          v-for="figure in told.bar"
          :key="figure.name"
          :figure="figure"
          :label="figure.name"
          :open="false"
        />
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
    </template>
  </div>
</template>

<style scoped>
.batch {
  display: grid;
  gap: 22px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 24px;
  align-items: baseline;
}
.pieces {
  font-size: var(--s20);
}
.sizes {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(420px, 100%), 1fr));
  gap: 24px;
}
.gauged {
  list-style: none;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
}
.gauged li {
  display: grid;
}
.good strong {
  color: var(--good);
}
.bad strong {
  color: var(--stop);
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 32px;
}
.card {
  display: grid;
  grid-template-columns: minmax(140px, max-content) 1fr;
  gap: 4px 20px;
}
.card dd {
  margin: 0;
}
@media (max-width: 520px) {
  .card {
    grid-template-columns: 1fr;
  }
  .card dd {
    margin-bottom: 8px;
  }
}
</style>
