<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'

import {
  asProblem,
  ask,
  client,
  type FieldError,
  type JobDocument,
  type Problem,
  type Standing,
} from '@/shared/api/client'
import { useActs } from '@/shared/jobs/useActs'
import { useJobActs } from '@/shared/jobs/useJobActs'
import { useUndo } from '@/shared/jobs/useUndo'
import FittersOnly from '@/shared/controls/FittersOnly.vue'

/** A job that this version does not read: why, what is still to be had of it, and how to put it right. */
const props = defineProps<{ id: number; problem: Problem }>()
const emit = defineEmits<{ mended: [] }>()
const router = useRouter()
const acts = useJobActs()
const send = useActs()
const offered = useUndo()
const standing = shallowRef<Standing | null>(null)
const trouble = ref('')
const errors = ref<FieldError[]>(props.problem.errors)
const input = ref<HTMLInputElement>()
onMounted(async () => {
  try {
    standing.value = await acts.standing(props.id)
  } catch (error) {
    trouble.value = asProblem(error).message
  }
})

/** Puts a mended file in the job's place; what was recorded stays as it is. */
async function mend(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file || !standing.value) return
  try {
    const document = JSON.parse(await file.text()) as JobDocument & { record?: unknown }
    delete document.record
    const body = { document, revision: standing.value.revision }
    await send(['mend', props.id, body], (header) =>
      ask(client.PUT('/api/jobs/{job_id}', { params: { path: { job_id: props.id }, header }, body })),
    )
    emit('mended')
  } catch (error) {
    const problem = asProblem(error)
    trouble.value = error instanceof SyntaxError ? `${file.name} is not a job file.` : problem.message
    if (problem.errors.length) errors.value = problem.errors
  } finally {
    if (input.value) input.value.value = ''
  }
}
async function remove() {
  if (!standing.value) return
  try {
    const now = await acts.remove(standing.value)
    offered.value = { text: `Deleted: ${now.title}.`, run: () => acts.takeOut(now) }
    await router.push({ name: 'jobs' })
  } catch (error) {
    trouble.value = asProblem(error).message
  }
}
</script>

<template>
  <section class="unreadable" aria-label="This job cannot be opened">
    <h1>{{ standing?.title ?? 'This job' }}</h1>
    <p class="why">✕ {{ problem.message }}</p>
    <ul>
      <li v-for="error in errors.slice(0, 8)" :key="error.field + error.code">
        <span class="fig">{{ error.field || 'file' }}</span>: {{ error.message }}
      </li>
    </ul>
    <p>
      1. Save the job file. 2. Correct the fields named above in a text editor. 3. Open the corrected file
      here. Everything recorded at the bench stays with the job.
    </p>
    <p class="acts">
      <FittersOnly>
        <v-btn color="secondary" @click="input?.click()">Open the corrected file</v-btn>
      </FittersOnly>
      <a :href="`/api/jobs/${id}/job.json`" download>Save the job file</a>
      <a :href="`/api/jobs/${id}/readings.csv`" download>Save the readings (CSV)</a>
      <router-link v-if="standing" :to="{ name: 'log', query: { q: standing.title } }"
        >Show this job in the log</router-link
      >
      <input
        ref="input"
        class="sr"
        type="file"
        accept=".json,application/json"
        aria-label="Corrected job file"
        tabindex="-1"
        @change="mend"
      />
      <FittersOnly><plain-btn @click="remove">Delete the job</plain-btn></FittersOnly>
      <router-link to="/">Back to Jobs</router-link>
    </p>
    <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.unreadable {
  display: grid;
  gap: 12px;
  max-width: 900px;
}
.why {
  color: var(--stop);
  font-size: var(--s20);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: baseline;
}
</style>
