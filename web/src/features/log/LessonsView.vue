<script setup lang="ts">
import { days } from '@/shared/figures/dates'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { asProblem, ask, client } from '@/shared/api/client'
import WaitingSign from '@/shared/controls/WaitingSign.vue'
import EmptyShell from '@/shared/controls/EmptyShell.vue'

/** What was learned: each mistake with the check that would have caught it, and which are made most. */
const { data: told, error } = useQuery({
  queryKey: ['lessons'],
  queryFn: () => ask(client.GET('/api/log/lessons')),
})
const charts = computed(() =>
  [
    { name: 'By cause', bars: told.value?.by_mistake ?? [] },
    { name: 'By tool', bars: told.value?.by_tool ?? [] },
    { name: 'By die', bars: told.value?.by_die ?? [] },
  ].filter((chart) => chart.bars.length),
)
const most = (bars: readonly { count: number }[]) => Math.max(...bars.map((bar) => bar.count))
</script>

<template>
  <div class="lessons">
    <header class="head">
      <h1>Lessons learned</h1>
      <router-link to="/log">Back to the log</router-link>
    </header>
    <p v-if="error" class="field-error" role="alert">{{ asProblem(error).message }}</p>
    <WaitingSign v-else-if="!told" what="the lessons" />
    <EmptyShell v-if="told && !told.lessons.length">
      No lessons yet. When you scrap, accept or redo a piece, note what went wrong. You will see it here, and
      again at the next step like it.
    </EmptyShell>
    <div class="charts">
      <figure v-for="chart in charts" :key="chart.name">
        <figcaption>{{ chart.name }}</figcaption>
        <dl>
          <template v-for="bar in chart.bars" :key="bar.name">
            <dt>{{ bar.name }}</dt>
            <dd>
              <svg viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
                <rect
                  class="bar"
                  width="100"
                  height="10"
                  :transform="`scale(${bar.count / most(chart.bars)} 1)`"
                />
              </svg>
              <span class="fig">{{ bar.count }}</span>
            </dd>
          </template>
        </dl>
      </figure>
    </div>
    <ol v-if="told?.lessons.length">
      <li v-for="one in told.lessons" :key="one.entry">
        <strong>{{ one.check || one.said }}</strong>
        <p>
          {{ one.mistake }}: “{{ one.said }}” <span class="muted">{{ one.became }}</span>
        </p>
        <p class="muted small">
          {{ days.format(new Date(one.at)) }} ·
          <router-link :to="{ name: 'plan', params: { id: one.job_id } }">{{ one.job }}</router-link>
          · piece {{ one.piece }} · {{ one.step }}<template v-if="one.thread"> · {{ one.thread }}</template> ·
          {{ one.metal }}
        </p>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.lessons {
  display: grid;
  gap: 16px;
}
.head {
  display: flex;
  gap: 24px;
  align-items: baseline;
}
.charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(280px, 100%), 1fr));
  gap: 24px;
}
figure {
  margin: 0;
}
figcaption {
  font-weight: 700;
  margin-bottom: 4px;
}
dl {
  display: grid;
  gap: 4px;
}
dd {
  display: grid;
  grid-template-columns: 1fr 2.5ch;
  gap: 8px;
  align-items: center;
  margin: 0;
}
svg {
  width: 100%;
  height: 12px;
  background: var(--quiet, var(--surface));
}
.bar {
  fill: var(--lagoon);
}
ol {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 12px;
}
li {
  border-left: 5px solid var(--lagoon);
  padding: 4px 16px;
}
li strong {
  font-size: var(--s20);
}
</style>
