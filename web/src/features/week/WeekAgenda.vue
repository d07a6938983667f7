<script setup lang="ts">
import { computed } from 'vue'

import { stretchesIn } from '@/features/week/timeline'
import type { Booking, Week } from '@/features/week/useWeek'

/** The week as a list: a day after the other, what is done in it and where. */
const props = defineProps<{ week: Week; chosen: number; days: number }>()
const emit = defineEmits<{ choose: [number] }>()
const names = computed(() => new Map(props.week.stations.map((one) => [one.code, one.name])))
/** Tasks of one job that follow each other are told under its name. */
function together(tasks: Booking[]) {
  const jobs: { job: number; title: string; tasks: Booking[] }[] = []
  for (const task of tasks) {
    if (jobs.at(-1)?.job !== task.job) jobs.push({ job: task.job, title: task.title, tasks: [] })
    jobs.at(-1)?.tasks.push(task)
  }
  return jobs
}
const days = computed(() =>
  stretchesIn(props.week, props.days)
    .map((stretch) => ({
      ...stretch,
      jobs: together(
        props.week.bookings.filter((one) =>
          one.worked.some((at) => at.begin < stretch.end && at.end > stretch.begin),
        ),
      ),
    }))
    .filter((day) => day.jobs.length),
)
</script>

<template>
  <ol class="agenda" aria-label="The week, day by day">
    <li v-for="day in days" :key="day.begin">
      <h3>
        {{ day.day }} <span class="muted">{{ day.date }}, {{ day.hours }}</span>
      </h3>
      <ul>
        <li
          v-for="one in day.jobs"
          :key="one.tasks[0]?.ident"
          class="task"
          :class="{ chosen: one.job === chosen }"
        >
          <plain-btn @click="emit('choose', one.job)">{{ one.title }}</plain-btn>
          <span v-for="task in one.tasks" :key="task.ident" class="small"
            >{{ task.begin < day.begin ? 'goes on' : task.takes }} · {{ names.get(task.station) }} ·
            {{ task.what }}<template v-if="week.people.length > 1"> · {{ task.person }}</template></span
          >
        </li>
      </ul>
    </li>
  </ol>
</template>

<style scoped>
.agenda {
  display: grid;
  gap: 12px;
}
h3 {
  font-size: var(--s16);
  border-bottom: 2px solid var(--ink);
}
h3 .muted {
  font-weight: 400;
}
.task {
  display: grid;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
  justify-items: start;
}
.task.chosen {
  box-shadow: inset 4px 0 0 var(--lagoon);
  padding-left: 12px;
}
</style>
