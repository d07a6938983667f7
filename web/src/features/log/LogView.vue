<script setup lang="ts">
import { useInfiniteQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { VSelect } from 'vuetify/components/VSelect'

import { asProblem, ask, client } from '@/shared/api/client'
import WaitingSign from '@/shared/controls/WaitingSign.vue'
import EmptyShell from '@/shared/controls/EmptyShell.vue'
import LogEntries from '@/features/log/LogEntries.vue'

const KINDS = [
  { value: 'troubles', title: 'die settings and problems' },
  { value: '', title: 'everything' },
  { value: 'reading', title: 'readings' },
  { value: 'verdict', title: 'gauge results' },
  { value: 'setting', title: 'die settings' },
  { value: 'scrap', title: 'scrapped pieces' },
  { value: 'accept', title: 'accepted pieces' },
  { value: 'note', title: 'notes' },
  { value: 'done', title: 'steps done' },
] as const
const route = useRoute()
const router = useRouter()
const text = ref(String(route.query.q ?? ''))
const kind = ref<(typeof KINDS)[number]['value']>('troubles')
const asked = computed(() => text.value.slice(0, 100))

const { data, error, fetchNextPage, hasNextPage } = useInfiniteQuery({
  queryKey: ['log', asked, kind],
  queryFn: ({ pageParam }) =>
    ask(
      client.GET('/api/log', { params: { query: { q: asked.value, kind: kind.value, before: pageParam } } }),
    ),
  initialPageParam: Number.MAX_SAFE_INTEGER,
  getNextPageParam: (last) => (last.more ? last.entries.at(-1)?.id : undefined),
  placeholderData: (before) => before,
  refetchOnMount: 'always',
})
const jobs = computed(() => data.value?.pages[0]?.jobs ?? [])
/** Open jobs in sight, finished ones folded; what was searched for is in sight anyhow. */
const groups = computed(() => {
  const over = jobs.value.filter((job) => job.state === 'closed')
  const open = jobs.value.filter((job) => job.state !== 'closed')
  return [
    { name: 'Jobs', jobs: open, folded: false },
    { name: `Closed jobs (${over.length})`, jobs: over, folded: !asked.value },
  ].filter((group) => group.jobs.length)
})
const entries = computed(() => data.value?.pages.flatMap((page) => page.entries) ?? [])
const remember = () => void router.replace({ query: text.value ? { q: text.value } : {} })
</script>

<template>
  <div class="log">
    <header class="head">
      <h1>Log</h1>
      <v-text-field
        v-model="text"
        class="search"
        label="Search jobs, threads, notes, results"
        maxlength="100"
        autocomplete="off"
        @change="remember"
      />
      <router-link to="/log/lessons">Lessons learned</router-link>
      <v-select v-model="kind" class="kind" label="Show" :items="KINDS" />
    </header>
    <p v-if="error" class="field-error" role="alert">{{ asProblem(error).message }}</p>
    <section
      v-if="entries.length"
      :aria-label="kind === 'troubles' ? 'Die settings and problems' : 'All records'"
    >
      <h2>{{ kind === 'troubles' ? 'Die settings and problems' : 'All records' }}</h2>
      <LogEntries :entries="entries" />
      <plain-btn v-if="hasNextPage" @click="fetchNextPage()">Show older records</plain-btn>
    </section>
    <details v-for="group in groups" :key="group.name" :open="!group.folded">
      <summary>
        <h2>{{ group.name }}</h2>
      </summary>
      <ul class="jobs" :aria-label="group.name">
        <li v-for="job in group.jobs" :key="job.id">
          <router-link :to="{ name: 'plan', params: { id: job.id } }">{{ job.title }}</router-link>
          <span class="fig">{{ job.thread }}</span>
          <span class="muted">{{ job.material }}</span>
          <span
            >{{ job.good }} of {{ job.quantity
            }}<template v-if="job.scrapped">, {{ job.scrapped }} scrapped</template></span
          >
          <span class="muted">{{ job.setting }}</span>
          <span>{{ job.outcome }}</span>
          <span v-if="job.identified" class="muted small identified">{{ job.identified }}</span>
        </li>
      </ul>
    </details>
    <WaitingSign v-if="!data && !error" what="the log" />
    <EmptyShell v-if="data && !jobs.length && !entries.length">
      {{
        text
          ? 'Nothing found. Try fewer words.'
          : 'Nothing recorded yet. Everything you record at the bench appears here.'
      }}
    </EmptyShell>
  </div>
</template>

<style scoped>
summary h2 {
  display: inline-block;
}
.log {
  display: grid;
  gap: 16px;
  max-width: 1200px;
}
.head {
  display: flex;
  gap: 24px;
  align-items: center;
  flex-wrap: wrap;
}
.search {
  max-width: 460px;
  flex: 1 1 260px;
}
h2 {
  font-size: var(--s16);
  color: var(--muted);
  border-bottom: 2px solid var(--ink);
  padding-bottom: 4px;
}
.jobs li {
  display: grid;
  grid-template-columns: minmax(0, 3fr) 1.2fr 1.4fr 1fr 1.8fr minmax(0, 2.4fr);
  gap: 4px 16px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
  align-items: baseline;
}
.identified {
  grid-column: 1 / -1;
}
.jobs a {
  font-weight: 700;
  color: var(--ink);
}
.kind {
  flex: 0 1 260px;
}
@media (max-width: 900px) {
  .jobs li {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
