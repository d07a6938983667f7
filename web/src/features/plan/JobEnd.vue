<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'

import { asProblem, type Job } from '@/shared/api/client'
import { useMe } from '@/shared/api/useMe'
import OnTablet from '@/shared/controls/OnTablet.vue'
import ReasonField from '@/shared/controls/ReasonField.vue'
import { useJobActs } from '@/shared/jobs/useJobActs'
import { useUndo } from '@/shared/jobs/useUndo'

/** Setting a job aside, closing it, opening it again, putting it away, throwing it away; and its files. */
const props = defineProps<{
  job: Job
  part: number
  /** Does something with the job as the last change or act left it. */
  withJob: <T>(what: (job: Job) => Promise<T>) => Promise<T>
  reload: () => Promise<void>
}>()
const router = useRouter()
const { looksOnly } = useMe()
const acts = useJobActs()
const offered = useUndo()
const asking = ref<'' | 'hold' | 'close'>('')
const error = ref('')
const ends = computed(() => props.job.plan.drawings.map((_, n) => n + 1))
/** Which end of which part, where it is not the first. */
function query(end: number): string {
  const asked = [end > 1 && `end=${end}`, props.part > 1 && `part=${props.part}`].filter(Boolean)
  return asked.length ? `?${asked.join('&')}` : ''
}
const files = computed(() => [
  { name: 'Set-up sheet', file: 'sheet.pdf' },
  ...['svg', 'dxf'].flatMap((kind) =>
    ends.value.map((end) => ({
      name:
        ends.value.length > 1
          ? `Drawing, set-up ${end} (${kind.toUpperCase()})`
          : `Drawing (${kind.toUpperCase()})`,
      file: `part.${kind}${query(end)}`,
    })),
  ),
  { name: 'Readings (CSV)', file: 'readings.csv' },
  { name: 'Job file (JSON)', file: 'job.json' },
])

/** One act after the other: each from the job as the last one left it. */
async function act(request: (job: Job) => Promise<unknown>): Promise<boolean> {
  try {
    await props.withJob(async (job) => {
      await request(job)
      await props.reload()
    })
    asking.value = ''
    error.value = ''
    return true
  } catch (failed) {
    error.value = asProblem(failed).message
    return false
  }
}
const hold = (reason: string) => act((job) => acts.hold(job, reason))
const close = (reason: string) => act((job) => acts.close(job, reason))
/** Closes at once when nothing is missing; otherwise asks why. */
async function tryClose() {
  if (!(await close(''))) asking.value = 'close'
}
/** Takes the job off the list, and offers there to take it out again. */
async function leave(what: 'archive' | 'remove', text: string) {
  try {
    const now = await props.withJob(acts[what])
    offered.value = { text: `${text}: ${props.job.title}.`, run: () => acts.takeOut(now) }
    await router.push({ name: 'jobs' })
  } catch (failed) {
    error.value = asProblem(failed).message
  }
}
</script>

<template>
  <div class="end">
    <p class="files">
      <a v-for="f in files" :key="f.file" :href="`/api/jobs/${job.id}/${f.file}`" download>{{ f.name }}</a>
      <OnTablet v-if="job.state !== 'closed'" :path="`/jobs/${job.id}/bench`" what="the bench of this job" />
      <span class="spring"></span>
      <span v-if="job.state === 'closed'" class="good">✓ Closed: {{ job.closed }}</span>
      <template v-if="looksOnly" />
      <template v-else-if="job.state === 'closed'">
        <plain-btn @click="act(acts.reopen)">Reopen the job</plain-btn>
      </template>
      <template v-else>
        <template v-if="job.state === 'held'">
          <span class="held">‖ On hold, waiting for {{ job.held }}</span>
          <plain-btn @click="act(acts.release)">Release</plain-btn>
        </template>
        <plain-btn v-else @click="asking = 'hold'">Put on hold</plain-btn>
        <plain-btn @click="tryClose">Close the job</plain-btn>
      </template>
      <plain-btn v-if="!looksOnly && job.shelf === 'open'" @click="leave('archive', 'Archived')">
        Archive the job
      </plain-btn>
      <plain-btn v-else-if="!looksOnly" @click="act(acts.takeOut)">Restore the job</plain-btn>
      <plain-btn v-if="!looksOnly" class="ruins" @click="leave('remove', 'Deleted')"
        >Delete the job</plain-btn
      >
    </p>
    <p v-if="error && !asking" class="field-error" role="alert">{{ error }}</p>
    <ReasonField
      v-if="asking === 'hold'"
      ask="What is the job waiting for?"
      :actions="[{ code: 'hold', label: 'Put on hold' }]"
      :error="error || undefined"
      @say="(_, words) => hold(words)"
      @close="asking = ''"
    />
    <ReasonField
      v-if="asking === 'close'"
      ask="Not every piece is made. Why close the job?"
      :actions="[{ code: 'close', label: 'Close the job' }]"
      :error="error || undefined"
      @say="(_, words) => close(words)"
      @close="asking = ''"
    />
  </div>
</template>

<style scoped>
.end {
  display: grid;
  gap: 8px;
}
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  align-items: baseline;
}
.spring {
  flex: 1;
}
.good {
  color: var(--good);
}
/* Apart from what does no harm. */
.ruins {
  margin-left: 24px;
  color: var(--stop);
}
.held {
  color: var(--caution);
}
</style>
