<script setup lang="ts">
import { computed, ref } from 'vue'

import { asProblem, ask, client, type Job } from '@/api/client'
import ReasonField from '@/components/ReasonField.vue'

/** Setting a job aside, closing it, opening it again; and its files. */
const props = defineProps<{ job: Job; part: number }>()
const emit = defineEmits<{ changed: [] }>()
const asking = ref<'' | 'hold' | 'close'>('')
const error = ref('')
const path = computed(() => ({ params: { path: { job_id: props.job.id } } }))
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
      name: `Drawing (${kind.toUpperCase()})${ends.value.length > 1 ? `, end ${end}` : ''}`,
      file: `part.${kind}${query(end)}`,
    })),
  ),
  { name: 'Readings', file: 'readings.csv' },
  { name: 'Job file', file: 'job.json' },
])

async function act(request: Promise<unknown>) {
  try {
    await request
    asking.value = ''
    error.value = ''
    emit('changed')
  } catch (failed) {
    error.value = asProblem(failed).message
  }
}
const hold = (reason: string) =>
  act(ask(client.POST('/api/jobs/{job_id}/hold', { ...path.value, body: { reason } })))
const close = (reason: string) =>
  act(ask(client.POST('/api/jobs/{job_id}/close', { ...path.value, body: { reason } })))
const release = () => act(ask(client.POST('/api/jobs/{job_id}/release', path.value)))
const reopen = () => act(ask(client.POST('/api/jobs/{job_id}/reopen', path.value)))

/** Closes at once when nothing is missing; otherwise asks why. */
async function tryClose() {
  await close('')
  if (error.value) asking.value = 'close'
}
</script>

<template>
  <div class="end">
    <p class="files">
      <a v-for="f in files" :key="f.file" :href="`/api/jobs/${job.id}/${f.file}`" download>{{ f.name }}</a>
      <span class="spring"></span>
      <template v-if="job.state === 'closed'">
        <span class="good">✓ closed: {{ job.closed }}</span>
        <button type="button" class="plain" @click="reopen">Open again</button>
      </template>
      <template v-else>
        <template v-if="job.state === 'held'">
          <span class="held">▲ waits for {{ job.held }}</span>
          <button type="button" class="plain" @click="release">Take up again</button>
        </template>
        <button v-else type="button" class="plain" @click="asking = 'hold'">Set aside</button>
        <button type="button" class="plain" @click="tryClose">Close the job</button>
      </template>
    </p>
    <ReasonField
      v-if="asking === 'hold'"
      ask="What does it wait for?"
      :actions="[{ code: 'hold', label: 'Set aside' }]"
      :error="error || undefined"
      @say="(_, words) => hold(words)"
      @close="asking = ''"
    />
    <ReasonField
      v-if="asking === 'close'"
      ask="Why does it end here?"
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
  gap: 10px;
}
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  align-items: baseline;
}
.spring {
  flex: 1;
}
.good {
  color: var(--good);
}
.held {
  color: var(--caution);
}
</style>
