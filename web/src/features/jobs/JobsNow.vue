<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'

import { watch } from 'vue'

import { ask, client } from '@/shared/api/client'
import { useToday } from '@/shared/jobs/useToday'

const job = defineModel<number>({ required: true })
/** What to do now, by the hours and days that were said in the week; the way to it where none were. */
const { data: now } = useQuery({
  queryKey: ['week', 'now'],
  queryFn: () => ask(client.GET('/api/week/now')),
  refetchOnMount: 'always',
})
/** What was done today moves a job: the first of them is said here. */
const today = useToday()
watch(now, (told) => (job.value = told?.job ?? 0), { immediate: true })
</script>

<template>
  <p class="now" role="note" aria-label="Now">
    <template v-if="now">
      <strong class="lead">Now:</strong>
      <router-link :to="{ name: 'bench', params: { id: now.job } }">{{ now.title }}</router-link>
      <span>, {{ now.text }}. </span>
      <span class="muted">{{ now.because }}</span>
    </template>
    <template v-else-if="now === null">What to make next follows from your hours and your days.</template>
    <span v-for="line in today?.moves.slice(0, 1)" :key="line" class="muted">{{ line }}</span>
    <router-link class="week" :to="{ name: 'week' }">This week</router-link>
  </p>
</template>

<style scoped>
.now {
  margin-top: 12px;
}
.lead {
  margin-right: 8px;
}
.week {
  margin-left: 16px;
}
</style>
