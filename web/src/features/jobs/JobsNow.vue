<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'

import { ask, client } from '@/shared/api/client'

/** What to do now, by the hours and days that were said in the week; the way to it where none were. */
const { data: now } = useQuery({
  queryKey: ['week', 'now'],
  queryFn: () => ask(client.GET('/api/week/now')),
  refetchOnMount: 'always',
})
</script>

<template>
  <p class="now" role="note" aria-label="Now">
    <template v-if="now"
      ><strong>Now:</strong>
      <router-link :to="{ name: 'bench', params: { id: now.job } }">{{ now.title }}</router-link>,
      {{ now.text }}. <span class="muted">{{ now.because }}</span></template
    >
    <template v-else-if="now === null">What to make next follows from your hours and your days.</template>
    <router-link class="week" :to="{ name: 'week' }">This week</router-link>
  </p>
</template>

<style scoped>
.now {
  margin-top: 12px;
}
.week {
  margin-left: 14px;
}
</style>
