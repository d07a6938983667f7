<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client } from '@/shared/api/client'
import DieStory from '@/shared/jobs/DieStory.vue'

/** Last results with your die with this thread; nothing where it was never gauged. */
const props = defineProps<{ thread: string }>()
const { data: dies } = useQuery({
  queryKey: computed(() => ['dies', props.thread]),
  queryFn: () => ask(client.GET('/api/log/dies', { params: { query: { thread: props.thread } } })),
})
</script>

<template>
  <section v-if="dies?.length" aria-label="Last results with your die">
    <h2>Last results with your die</h2>
    <DieStory :dies="dies" with-job />
  </section>
</template>

<style scoped>
h2 {
  font-size: var(--s16);
  border-bottom: 2px solid var(--line);
}
</style>
