<script setup lang="ts">
import { computed, ref } from 'vue'

import { asProblem } from '@/shared/api/client'
import { useMe } from '@/shared/api/useMe'
import WaitingSign from '@/shared/controls/WaitingSign.vue'
import { useUpright } from '@/shared/state/useScreen'
import WeekAgenda from '@/features/week/WeekAgenda.vue'
import WeekChart from '@/features/week/WeekChart.vue'
import WeekHours from '@/features/week/WeekHours.vue'
import WeekJob from '@/features/week/WeekJob.vue'
import WeekLists from '@/features/week/WeekLists.vue'
import WeekSearch from '@/features/week/WeekSearch.vue'
import { useWeek, type Hand } from '@/features/week/useWeek'

/** The week: what to make next and when it will be done, by the hours one has and the days that are wanted. */
const { week, error, problem, refused, busy, wish, people, putBefore, letGo } = useWeek()
const { looksOnly } = useMe()
const upright = useUpright()
const chosen = ref(0)
const asked = ref(false)
const asList = ref(false)
const all = ref(false)
/** A week, and as many days as there are where all is drawn. */
const days = computed(() => (all.value ? 365 : 8))
const known = computed(() => week.value?.people.some((one) => one.words))
const further = computed(() => week.value?.stretches.some((one) => one.begin >= 8 * 24 * 60))
const FILES = [
  { name: 'Print', file: 'week.pdf' },
  { name: 'Calendar file', file: 'week.ics' },
  { name: 'Table', file: 'week.csv' },
  { name: 'Cutting list', file: 'cutting.csv' },
]
async function save(hands: Hand[]) {
  if (await people(hands)) asked.value = false
}
const choose = (job: number) => (chosen.value = chosen.value === job ? 0 : job)
</script>

<template>
  <div class="week">
    <header class="head">
      <h1>This week</h1>
      <p v-if="week && known" class="muted hours">
        {{ week.hours }}
      </p>
      <p v-if="week" class="files">
        <plain-btn v-if="known && !looksOnly && !asked" @click="asked = true">Change the hours</plain-btn>
        <a v-for="one in FILES" :key="one.file" :href="`/api/week/${one.file}`" download>{{ one.name }}</a>
        <router-link to="/">Jobs</router-link>
      </p>
    </header>
    <p v-if="error" class="field-error" role="alert">{{ asProblem(error).message }}</p>
    <WaitingSign v-if="!week && !error" what="the week" />
    <template v-if="week">
      <template v-if="asked || (!known && !looksOnly)">
        <p v-if="!known">
          Say when you are in the shop. The order, and when each job is done, follow from that.
        </p>
        <WeekHours
          :people="week.people"
          :lathes="week.lathes"
          :problem="problem"
          :busy="busy"
          @save="save"
          @close="asked = false"
        />
      </template>
      <section v-if="week.now" class="now" aria-label="Now">
        <p>
          <strong class="what">{{ week.now.title }}</strong>
          <span class="for">{{ week.now.text }}.</span>
          <span class="muted">{{ week.now.because }}</span>
        </p>
        <v-btn color="secondary" :to="{ name: 'bench', params: { id: week.now.job } }">Open the bench</v-btn>
      </section>
      <p v-if="problem && (!problem.errors.length || problem.of('then'))" class="field-error" role="alert">
        {{ problem.of('then')?.message ?? problem.message }}
      </p>
      <section v-if="week.bookings.length" aria-label="Order of work">
        <WeekAgenda v-if="upright || asList" :week="week" :chosen="chosen" :days="days" @choose="choose" />
        <WeekChart
          v-else
          :week="week"
          :chosen="chosen"
          :first="week.now?.job ?? 0"
          :days="days"
          :readonly="looksOnly"
          @choose="choose"
          @put="({ first, then }) => putBefore(first, then)"
        />
        <p class="legend small">
          <span v-if="!upright && !asList" class="muted"
            ><span class="hatch" aria-hidden="true"></span> setting up.
          </span>
          <span class="muted">{{ week.pace }}</span>
          <plain-btn v-if="further" @click="all = !all">{{
            all ? 'This week alone' : 'All weeks'
          }}</plain-btn>
          <plain-btn v-if="!upright" @click="asList = !asList">{{
            asList ? 'As a drawing' : 'As a list'
          }}</plain-btn>
          <WeekSearch v-if="!looksOnly" />
        </p>
      </section>
      <div class="under">
        <section aria-label="When each job is done">
          <h2>When each job is done</h2>
          <WeekJob
            v-for="job in week.jobs"
            :key="job.job"
            :job="job"
            :week="week"
            :open="job.job === chosen"
            :problem="refused === job.job ? problem : null"
            :readonly="looksOnly"
            @choose="choose(job.job)"
            @wish="(said) => wish(job.job, said)"
            @put="({ first, then }) => putBefore(first, then)"
            @let-go="letGo(job.job)"
          />
          <p v-if="!week.jobs.length" class="muted">No open jobs.</p>
          <p v-if="week.more" class="muted">
            {{ week.more }} more open {{ week.more === 1 ? 'job is' : 'jobs are' }} not in the week. Give
            those that matter a day.
          </p>
        </section>
        <WeekLists :week="week" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.week {
  display: grid;
  gap: 12px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  align-items: baseline;
}
.hours {
  flex: 1 1 300px;
}
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin-left: auto;
}
.now {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
  justify-content: space-between;
  padding: 8px 12px 8px 16px;
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
}
.now p {
  flex: 1 1 340px;
}
.for {
  margin-inline: 12px;
}
.what {
  font-size: var(--s20);
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  padding-top: 4px;
}
.hatch {
  display: inline-block;
  width: 20px;
  height: 12px;
  border: 1px solid var(--ink);
  background: repeating-linear-gradient(-45deg, transparent 0 4px, var(--ink) 4px 5px);
}
@media (forced-colors: active) {
  .hatch {
    forced-color-adjust: none;
  }
}
.under {
  columns: 2;
  column-gap: 32px;
}
.under > * {
  margin-bottom: 24px;
  break-inside: avoid;
}
h2 {
  font-size: var(--s16);
  border-bottom: 2px solid var(--ink);
  padding-bottom: 4px;
}
@media (max-width: 900px) {
  .under {
    columns: 1;
  }
}
</style>
