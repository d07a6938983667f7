<script setup lang="ts">
import { computed } from 'vue'

import type { JobCard } from '@/shared/api/client'
import ThreadBar from '@/shared/controls/ThreadBar.vue'

/** A job on the list: what it is, how far, what is next. */
const props = defineProps<{
  job: JobCard
  /** The one to go on with: its button leads. */
  leads?: boolean
}>()
const emit = defineEmits<{ takeOut: [JobCard]; find: [string] }>()
const SHAPES: Record<JobCard['state'], string> = {
  'on the bench': '●',
  planned: '○',
  held: '‖',
  finished: '✓',
  closed: '✓',
  unreadable: '✕',
}
const ACTS: Partial<Record<JobCard['state'], string>> = {
  'on the bench': 'Continue',
  planned: 'Start at the bench',
  held: 'Open the bench',
  finished: 'Review and close',
}
const words = computed(() => {
  if (props.job.unreadable) return props.job.unreadable
  if (props.job.state === 'closed') return props.job.closed
  if (props.job.state === 'held') return `waiting for ${props.job.held}`
  if (props.job.state === 'finished') return 'Close the job.'
  return `next: ${props.job.next_step}`
})
</script>

<template>
  <article class="job" :class="job.state.replaceAll(' ', '-')">
    <div class="what">
      <h3>
        <router-link :to="{ name: 'plan', params: { id: job.id } }">{{ job.title }}</router-link>
      </h3>
      <p v-if="job.quantity" class="muted">
        <plain-btn class="fig thread" :title="`Jobs with ${job.thread}`" @click="emit('find', job.thread)">{{
          job.thread
        }}</plain-btn>
        · {{ job.quantity }} {{ job.quantity === 1 ? 'piece' : 'pieces' }}, {{ job.material
        }}<template v-if="job.needed_by"> · {{ job.needed_by }}</template>
      </p>
    </div>
    <div class="how">
      <ThreadBar
        :total="job.steps"
        :done="job.steps_done"
        :now="job.state === 'on the bench' ? 1 : 0"
        :pieces="job.quantity"
        :label="`${job.steps_done} of ${job.steps} steps done`"
      />
      <p class="small">
        <span class="state">{{ SHAPES[job.state] }} {{ job.condition }}</span
        ><template v-if="job.quantity">, {{ job.good }} of {{ job.quantity }} pieces made</template
        ><template v-if="job.scrapped"> ({{ job.scrapped }} scrapped)</template> ·
        <span class="next">{{ words }}</span>
      </p>
    </div>
    <v-btn v-if="job.shelf !== 'open'" variant="outlined" @click="emit('takeOut', job)">Restore</v-btn>
    <v-btn v-else-if="job.unreadable" :to="{ name: 'plan', params: { id: job.id } }" variant="outlined"
      >See why</v-btn
    >
    <v-btn
      v-else-if="job.state !== 'closed'"
      :to="{ name: 'bench', params: { id: job.id } }"
      :color="leads ? 'secondary' : undefined"
      :variant="leads ? 'flat' : 'outlined'"
      >{{ ACTS[job.state] }}</v-btn
    >
  </article>
</template>

<style scoped>
.job {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 5fr) 168px;
  gap: 4px 32px;
  align-items: center;
  padding: 12px 0;
  border-bottom: 1px solid var(--line);
}
h3 {
  font-size: var(--s20);
  line-height: 1.25;
}
h3 a {
  color: var(--ink);
  text-decoration: none;
}
h3 a:hover {
  color: var(--lagoon);
  text-decoration: underline;
}
.thread.v-btn {
  padding: 0;
  color: var(--ink);
  font-weight: 700;
  text-decoration-color: var(--line);
}
.state {
  font-weight: 700;
}
.on-the-bench .state {
  color: var(--lagoon);
}
.unreadable .state,
.unreadable .next {
  color: var(--stop);
}
.held .state,
.held .next {
  color: var(--caution);
}
.finished .state,
.closed .state {
  color: var(--good);
}
@media (max-width: 760px) {
  .job {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
