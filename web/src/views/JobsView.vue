<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRoute } from 'vue-router'

import { asProblem, ask, client, type JobCard } from '@/api/client'
import JobRow from '@/components/JobRow.vue'
import { useKeys } from '@/composables/useKeys'

const NewJob = defineAsyncComponent(() => import('@/components/NewJob.vue'))
const StudRepair = defineAsyncComponent(() => import('@/components/StudRepair.vue'))
const ImportJob = defineAsyncComponent(() => import('@/components/ImportJob.vue'))
const EmptyShell = defineAsyncComponent(() => import('@/components/EmptyShell.vue'))

const route = useRoute()
const thread = computed(() => String(route.query.thread ?? ''))
const identified = computed(() => String(route.query.identified ?? ''))
const starting = ref<'' | 'part' | 'repair'>(thread.value ? 'part' : '')
const { data: jobs, error } = useQuery({
  queryKey: ['jobs'],
  queryFn: () => ask(client.GET('/api/jobs')),
  refetchOnMount: 'always',
  retry: false,
})

const GROUPS: { heading: string; states: JobCard['state'][] }[] = [
  { heading: 'On the bench', states: ['on the bench', 'finished'] },
  { heading: 'Stuck', states: ['held'] },
  { heading: 'Planned', states: ['planned'] },
  { heading: 'Done', states: ['closed'] },
]
const groups = computed(() =>
  GROUPS.map((group) => ({
    heading: group.heading,
    jobs: (jobs.value ?? []).filter((job) => group.states.includes(job.state)),
  })).filter((group) => group.jobs.length),
)
useKeys([{ key: 'n', label: 'start a job', run: () => (starting.value = 'part') }])
</script>

<template>
  <div class="jobs">
    <header class="head">
      <h1>Jobs</h1>
      <ImportJob />
      <template v-if="!starting">
        <v-btn variant="outlined" @click="starting = 'repair'">Repair a worn end</v-btn>
        <v-btn color="secondary" @click="starting = 'part'">Start a job</v-btn>
      </template>
    </header>
    <NewJob v-if="starting === 'part'" :thread="thread" :identified="identified" @close="starting = ''" />
    <StudRepair v-else-if="starting" @close="starting = ''" />
    <p v-if="error" class="field-error" role="alert">{{ asProblem(error).message }}</p>
    <section v-for="group in groups" :key="group.heading" :aria-label="group.heading">
      <h2 class="group">{{ group.heading }}</h2>
      <JobRow v-for="job in group.jobs" :key="job.id" :job="job" />
    </section>
    <EmptyShell v-if="jobs && !jobs.length && !starting">
      No jobs yet. Start one, or type a thread at the top to size it.
    </EmptyShell>
  </div>
</template>

<style scoped>
.jobs {
  max-width: 1200px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 18px;
}
.head h1 {
  margin-right: auto;
}
.group {
  font-size: var(--s16);
  color: var(--muted);
  margin-top: 22px;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 4px;
}
</style>
