<script setup lang="ts">
import { computed, ref } from 'vue'

import JobEnd from '@/features/plan/JobEnd.vue'
import OpenLine from '@/features/plan/OpenLine.vue'
import type { Job } from '@/shared/api/client'

/** The job's papers and its end: one of the strip. What a job waits for, and that it is over, is seen unasked. */
const props = defineProps<{
  job: Job
  part: number
  withJob: <T>(what: (job: Job) => Promise<T>) => Promise<T>
  reload: () => Promise<void>
}>()
const pressed = ref<boolean | null>(null)
const told = computed(() => props.job.state === 'held' || props.job.state === 'closed')
const open = computed(() => pressed.value ?? told.value)
</script>

<template>
  <OpenLine name="Papers" sentence="sheet, files, end of the job" :open="open" @toggle="pressed = !open">
    <JobEnd :job="job" :part="part" :with-job="withJob" :reload="reload" />
  </OpenLine>
</template>
