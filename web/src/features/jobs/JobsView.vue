<script setup lang="ts">
import WaitingSign from '@/shared/controls/WaitingSign.vue'
import { useInfiniteQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRouter } from 'vue-router'

import { asProblem, ask, client, type JobCard } from '@/shared/api/client'
import { useMe } from '@/shared/api/useMe'
import JobRow from '@/features/jobs/JobRow.vue'
import { useJobActs } from '@/shared/jobs/useJobActs'
import { useKeys } from '@/shared/state/useKeys'
import { useUndo } from '@/shared/jobs/useUndo'

const ImportJob = defineAsyncComponent(() => import('@/features/jobs/ImportJob.vue'))
const JobsNow = defineAsyncComponent(() => import('@/features/jobs/JobsNow.vue'))
const EmptyShell = defineAsyncComponent(() => import('@/shared/controls/EmptyShell.vue'))

const router = useRouter()
const { looksOnly } = useMe()
const start = () => router.push({ name: 'start' })
const shelf = ref<JobCard['shelf']>('open')
/** Words that a job is found by: its name, thread, metal, for whom, its state. */
const find = ref<string | null>('')
const wanted = computed(() => (find.value ?? '').trim())
/** The one state that is looked at, "" for all. */
const state = ref<JobCard['state'] | ''>('')
const { data, error, fetchNextPage, hasNextPage } = useInfiniteQuery({
  queryKey: ['jobs', shelf, wanted, state],
  queryFn: ({ pageParam }) =>
    ask(
      client.GET('/api/jobs', {
        params: { query: { shelf: shelf.value, start: pageParam, find: wanted.value, state: state.value } },
      }),
    ),
  initialPageParam: 0,
  getNextPageParam: (last, pages) =>
    last.more ? pages.reduce((sum, page) => sum + page.jobs.length, 0) : undefined,
  refetchOnMount: 'always',
  placeholderData: (before) => before,
})
const jobs = computed(() => data.value?.pages.flatMap((page) => page.jobs))
const counts = computed(() => data.value?.pages.at(-1)?.counts)
const states = computed(() => data.value?.pages.at(-1)?.states ?? [])
/** A few jobs are found by looking. */
const MANY = 6
const searches = computed(() => wanted.value !== '' || (counts.value?.[shelf.value] ?? 0) > MANY)
const SHELVES = [
  { code: 'open', name: 'Current' },
  { code: 'archive', name: 'Archive' },
  { code: 'bin', name: 'Deleted' },
] as const
/** The list, and what is off it where there is something. */
const shelves = computed(() =>
  SHELVES.filter(({ code }) => code === shelf.value || code === 'open' || (counts.value?.[code] ?? 0) > 0),
)
const acts = useJobActs()
const cache = useQueryClient()
const offered = useUndo()
const trouble = ref('')
/** Does something to a job of the list, and shows the list as it is then. */
async function act(request: () => Promise<unknown>) {
  try {
    await request()
    trouble.value = ''
    offered.value = null
  } catch (failed) {
    trouble.value = asProblem(failed).message
  }
  await cache.invalidateQueries({ queryKey: ['jobs'] })
}
const takeOut = (job: JobCard) =>
  act(async () => {
    const now = await acts.standing(job.id)
    await acts.takeOut(now)
  })

const GROUPS: { heading: string; states: JobCard['state'][] }[] = [
  { heading: 'On the bench', states: ['on the bench', 'finished'] },
  { heading: 'On hold', states: ['held'] },
  { heading: 'Cannot be opened', states: ['unreadable'] },
  { heading: 'Planned', states: ['planned'] },
  { heading: 'Closed', states: ['closed'] },
]
const groups = computed(() =>
  GROUPS.map((group) => ({
    heading: group.heading,
    jobs: (jobs.value ?? []).filter((job) => group.states.includes(job.state)),
  })).filter((group) => group.jobs.length),
)
/** What the week says to do now, 0 for nothing. */
const now = ref(0)
/** The job to go on with: the week's, else the one that was worked at last. A new one is begun where there is none. */
const leads = computed(() => {
  if (shelf.value !== 'open') return undefined
  return now.value || jobs.value?.find((job) => job.state === 'on the bench')?.id
})
useKeys([{ key: 'n', label: 'start a new job', run: () => void start() }])
</script>

<template>
  <div class="jobs">
    <header class="head">
      <h1>Jobs</h1>
      <v-text-field
        v-if="searches"
        v-model="find"
        class="find"
        label="Find a job"
        placeholder="name, thread, metal, for whom, state"
        density="compact"
        autocomplete="off"
        maxlength="120"
        hide-details
      />
      <ImportJob v-if="!looksOnly" />
      <v-btn
        v-if="!looksOnly"
        :color="leads === undefined ? 'secondary' : undefined"
        :variant="leads === undefined ? 'flat' : 'outlined'"
        @click="start"
        >New job</v-btn
      >
    </header>
    <p v-if="error" class="field-error" role="alert">{{ asProblem(error).message }}</p>
    <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
    <p v-if="offered" class="undone" role="status">
      {{ offered.text }} <plain-btn @click="act(offered.run)">Undo</plain-btn>
    </p>
    <div v-if="counts?.open && shelf === 'open'" class="plan"><JobsNow v-model="now" /></div>
    <nav v-if="shelves.length > 1" class="shelves" aria-label="Show current, archived or deleted jobs">
      <plain-btn
        v-for="one in shelves"
        :key="one.code"
        :aria-pressed="shelf === one.code"
        @click="shelf = one.code"
      >
        {{ one.name }} <span class="fig">{{ counts?.[one.code] ?? 0 }}</span>
      </plain-btn>
    </nav>
    <nav v-if="searches && states.length > 1" class="shelves" aria-label="Show jobs of one state">
      <plain-btn :aria-pressed="state === ''" @click="state = ''">All</plain-btn>
      <plain-btn
        v-for="one in states"
        :key="one.code"
        :aria-pressed="state === one.code"
        @click="state = one.code"
      >
        {{ one.name }} <span class="fig">{{ one.jobs }}</span>
      </plain-btn>
    </nav>
    <p v-if="groups.length" class="muted small">
      Each bar is a job, thread by thread: a turn is a share of its piece, coral is the step in hand.
    </p>
    <section v-for="group in groups" :key="group.heading" :aria-label="group.heading">
      <h2 class="group">{{ group.heading }}</h2>
      <JobRow
        v-for="job in group.jobs"
        :key="job.id"
        :job="job"
        :leads="job.id === leads"
        @take-out="takeOut"
        @find="(thread) => (find = thread)"
      />
    </section>
    <plain-btn v-if="hasNextPage" class="more" @click="fetchNextPage()">Show more jobs</plain-btn>
    <WaitingSign v-if="!jobs && !error" what="the jobs" />
    <p v-if="jobs && !jobs.length && wanted" role="status">No job here has “{{ wanted }}” in it.</p>
    <EmptyShell v-else-if="jobs && !jobs.length">
      <template v-if="shelf === 'open'">
        No jobs yet. Start one, or type a thread in the box at the top to see its sizes.<br />
        <router-link :to="{ name: 'start', query: { as: 'stud', walk: '1' } }"
          >New to cutting threads? Try a small job, step by step.</router-link
        >
      </template>
      <template v-else>{{ shelf === 'archive' ? 'No archived jobs.' : 'No deleted jobs.' }}</template>
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
  gap: 16px;
}
.head h1 {
  margin-right: auto;
}
.undone,
.shelves {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin-top: 12px;
  align-items: baseline;
}
/* Its place is kept while what to do now is worked out. */
.plan {
  min-height: var(--control);
}
.find {
  flex: 0 1 340px;
}
.shelves {
  margin-left: -8px;
}
.shelves .fig {
  margin-left: 8px;
}
.shelves button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 700;
}
.more {
  margin-top: 12px;
}
.group {
  font-size: var(--s16);
  color: var(--muted);
  margin-top: 24px;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 4px;
}
</style>
