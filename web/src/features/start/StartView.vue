<script setup lang="ts">
import WaitingSign from '@/shared/controls/WaitingSign.vue'
import { useQuery } from '@tanstack/vue-query'
import { computed, defineAsyncComponent, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'

import StartForm from '@/features/start/StartForm.vue'
import StartPictures from '@/features/start/StartPictures.vue'
import { type Beginning, useStart } from '@/features/start/useStart'
import { ask, client, type JobDocument } from '@/shared/api/client'

/** A new job, from pictures: what it is, then its few facts beside a drawing that fills as they are typed. */
const RepairForm = defineAsyncComponent(() => import('@/features/start/RepairForm.vue'))
const ThreadForm = defineAsyncComponent(() => import('@/features/start/ThreadForm.vue'))
const route = useRoute()
const router = useRouter()
const { data: beginnings, error } = useQuery({
  queryKey: ['beginnings'],
  queryFn: () => ask(client.GET('/api/jobs/beginnings')),
  staleTime: Infinity,
})

const thread = String(route.query.thread ?? '')
/** How the thread was identified, as long as it is still that thread. */
function identified(): JobDocument['identified'] {
  if (!route.query.identified || job.kept.value.sizes.thread !== thread) return undefined
  try {
    return JSON.parse(String(route.query.identified)) as JobDocument['identified']
  } catch {
    return undefined
  }
}
const chosen = computed(() => String(route.query.as ?? ''))
const beginning = computed(() => beginnings.value?.find((one) => one.code === chosen.value))
const job = useStart(identified, () => beginning.value?.finish ?? '')
if (route.query.walk !== '1') job.clearExample()
if (thread) job.type('thread', thread)

function choose(code: Beginning['code']) {
  if (code !== 'repair' && code !== 'thread') job.kept.value.start = code
  void router.replace({ query: { ...route.query, as: code } })
}
if (chosen.value && chosen.value !== 'repair' && chosen.value !== 'thread')
  job.kept.value.start = chosen.value as typeof job.kept.value.start
/** A first look round: the form is filled with its own examples, and each step says why. */
const walk = computed(() => route.query.walk === '1')
watch(
  [walk, beginning],
  ([walking, now]) => {
    if (walking && now && !Object.values(job.kept.value.sizes).some(Boolean)) job.fill(now.asks)
  },
  { immediate: true },
)
const leave = () => void router.push({ name: 'jobs' })
</script>

<template>
  <div class="starting">
    <h1>New job</h1>
    <p v-if="!chosen" class="muted">
      What are you making? Choose the nearest shape. You can change everything later, on the plan.
    </p>
    <p v-if="error" class="field-error" role="alert">{{ error.message }}</p>
    <WaitingSign v-else-if="!beginnings" what="the shapes" />
    <StartPictures v-if="beginnings" :beginnings="beginnings" :chosen="chosen" @choose="choose" />
    <p v-if="walk" class="walk" role="note">
      This is an example: a stud threaded at one end. Change any size and watch the drawing. Then press
      <b>Show the plan</b>.
    </p>
    <RepairForm v-if="chosen === 'repair'" @close="leave" />
    <ThreadForm v-else-if="chosen === 'thread'" :thread="thread" />
    <StartForm v-else-if="beginning" :beginning="beginning" :job="job" :walk="walk" @close="leave" />
  </div>
</template>

<style scoped>
.starting {
  max-width: 1240px;
}
.walk {
  margin-bottom: 12px;
  color: var(--lagoon);
}
</style>
