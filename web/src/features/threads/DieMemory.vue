<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client } from '@/shared/api/client'
import DieStory from '@/shared/jobs/DieStory.vue'

/** What your die did last with this thread; nothing where it was never gauged. */
const props = defineProps<{ thread: string }>()
const { data: dies } = useQuery({
  queryKey: computed(() => ['dies', props.thread]),
  queryFn: () => ask(client.GET('/api/log/dies', { params: { query: { thread: props.thread } } })),
})
</script>

<template>
  <section v-if="dies?.length" aria-label="What your die did last">
    <h2>What your die did last</h2>
    <DieStory :dies="dies" with-job />
  </section>
</template>

<style scoped>
h2 {
  font-size: var(--s16);
  border-bottom: 2px solid var(--line);
}
</style>
