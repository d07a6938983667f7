<script setup lang="ts">
import { computed, effectScope, type EffectScope, onScopeDispose, watch } from 'vue'
import { useRoute } from 'vue-router'

import { waitingJobs } from '@/shared/jobs/outbox'
import { useOutbox } from '@/shared/jobs/useOutbox'

/** What was recorded at benches that are not open now, and is not stored yet: it is sent from here. */
const route = useRoute()
const jobs = computed(() =>
  waitingJobs.value.filter(({ job }) => route.name !== 'bench' || Number(route.params.id) !== job),
)
const sending = new Map<number, EffectScope>()
const stop = (job: number) => {
  sending.get(job)?.stop()
  sending.delete(job)
}
watch(
  () => jobs.value.map(({ job }) => job),
  (now) => {
    for (const job of [...sending.keys()].filter((one) => !now.includes(one))) stop(job)
    for (const job of now.filter((one) => !sending.has(one))) {
      const scope = effectScope(true)
      sending.set(job, scope)
      scope.run(() => void useOutbox(job, () => undefined, false).flush())
    }
  },
  { immediate: true },
)
onScopeDispose(() => [...sending.keys()].forEach(stop))
const count = (n: number) =>
  n === 1
    ? '1 record is saved on this device only. It is sent as soon as Conch answers.'
    : `${n} records are saved on this device only. They are sent as soon as Conch answers.`
</script>

<template>
  <ul v-if="jobs.length" class="elsewhere" aria-label="Not sent yet">
    <li v-for="one in jobs" :key="one.job" role="status" :class="{ refused: one.refused }">
      <template v-if="one.refused">✗ A record was refused: {{ one.refused }}</template>
      <template v-else>◌ {{ count(one.count) }}</template>
      <router-link :to="{ name: 'bench', params: { id: one.job } }">Open the bench</router-link>
    </li>
  </ul>
</template>

<style scoped>
.elsewhere {
  list-style: none;
  margin: 0;
  padding: 8px 24px;
  display: grid;
  gap: 4px;
  border-bottom: 1px solid var(--line);
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.refused {
  color: var(--stop);
}
@media (max-width: 900px) {
  .elsewhere {
    padding-inline: 16px;
  }
}
</style>
