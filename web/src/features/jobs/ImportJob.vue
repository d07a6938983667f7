<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'

import { asProblem, ask, client, type FieldError } from '@/shared/api/client'
import { useActs } from '@/shared/jobs/useActs'

/** What the server takes at most; a longer file is not sent, it would hang up on it. */
const MOST_BYTES = 8 * 1024 * 1024

/** Reads a job file; a wrong one changes nothing and is told field by field. */
const router = useRouter()
const send = useActs()
const input = ref<HTMLInputElement>()
const trouble = ref('')
const errors = ref<FieldError[]>([])

async function read(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  trouble.value = ''
  errors.value = []
  if (file.size > MOST_BYTES) {
    trouble.value = `${file.name} is larger than 8 MB, so it is not a job file. Nothing was changed.`
    return
  }
  try {
    const content: unknown = JSON.parse(await file.text())
    const job = await send(['import', content], (header) =>
      ask(client.POST('/api/jobs/import', { params: { header }, body: content as Record<string, never> })),
    )
    await router.push({ name: 'plan', params: { id: job.id } })
  } catch (error) {
    const problem = asProblem(error)
    trouble.value =
      error instanceof SyntaxError
        ? `${file.name} is not a job file: ${error.message}. Choose a file that Conch saved as a job file.`
        : `${file.name} could not be opened. Nothing was changed. Correct these fields:`
    errors.value = problem.errors
    if (!(error instanceof SyntaxError) && !problem.errors.length) trouble.value = problem.message
  } finally {
    if (input.value) input.value.value = ''
  }
}
</script>

<template>
  <span>
    <plain-btn @click="input?.click()">Open a job file</plain-btn>
    <input
      ref="input"
      class="sr"
      type="file"
      accept=".json,application/json"
      aria-label="Choose a job file"
      tabindex="-1"
      @change="read"
    />
    <span v-if="trouble" role="alert" class="trouble">
      <span class="field-error">{{ trouble }}</span>
      <ul>
        <li v-for="error in errors.slice(0, 8)" :key="error.field + error.code" class="small">
          <span class="fig">{{ error.field || 'file' }}</span>: {{ error.message }}
        </li>
      </ul>
    </span>
  </span>
</template>

<style scoped>
.trouble {
  display: block;
}
</style>
