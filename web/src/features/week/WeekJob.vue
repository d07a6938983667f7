<script setup lang="ts">
import { computed, ref, watch } from 'vue'

import InlineChoice from '@/shared/controls/InlineChoice.vue'
import InlineField from '@/shared/controls/InlineField.vue'
import ThreadBar from '@/shared/controls/ThreadBar.vue'
import WorkingPanel from '@/shared/figures/WorkingPanel.vue'
import type { Problem } from '@/shared/api/client'
import type { JobInWeek, Week, Wish } from '@/features/week/useWeek'

/** A job of the week: when it is done and how sure that is; opened, what is said of it. */
const props = defineProps<{
  job: JobInWeek
  week: Week
  open: boolean
  problem: Problem | null
  readonly: boolean
}>()
const emit = defineEmits<{
  choose: []
  wish: [Wish]
  put: [{ first: number; then: number }]
  letGo: []
}>()
const MARKS: Record<JobInWeek['mark'], string> = { sure: '✓', likely: '○', open: '◐', late: '✗', none: '' }
const said = (): Wish => ({
  wanted: props.job.wanted,
  weight: props.job.weight,
  after: props.job.after,
  from_day: props.job.from_day,
  who: props.job.who,
  revision: props.job.revision,
})
const typed = ref(said())
/** What another page said comes in, but over what is being typed here. */
watch(said, (now, before) => {
  for (const key of Object.keys(now) as (keyof Wish)[])
    if (typed.value[key] === before[key]) Object.assign(typed.value, { [key]: now[key] })
})
const working = ref(false)
const chance = ref(false)
const changed = computed(() => JSON.stringify(typed.value) !== JSON.stringify(said()))
const commit = () => changed.value && emit('wish', { ...typed.value })
const error = (field: string) => (props.open ? props.problem?.of(field) : undefined)
const others = computed(() => [
  { code: '0', name: 'nothing', remark: '' },
  ...props.week.jobs
    .filter((one) => one.job !== props.job.job)
    .map((one) => ({ code: String(one.job), name: one.title, remark: '' })),
])
const who = computed(() => [
  { code: '', name: 'anybody', remark: '' },
  ...props.week.people.map((one) => ({ code: one.name, name: one.name, remark: '' })),
])
/** The jobs in the order they are begun: what comes before and behind this one. */
const turn = computed(() => [...new Set(props.week.bookings.map((one) => one.job))])
const at = computed(() => turn.value.indexOf(props.job.job))
const earlier = computed(() => (at.value > 0 ? turn.value[at.value - 1] : undefined))
const later = computed(() => (at.value < turn.value.length - 1 ? turn.value[at.value + 1] : undefined))
const byHand = computed(() => props.job.by_hand.before.length + props.job.by_hand.after.length > 0)
</script>

<template>
  <article class="job" :class="[`is-${job.mark}`, { open }]">
    <plain-btn class="title" :aria-expanded="open" @click="emit('choose')">{{ job.title }}</plain-btn>
    <p class="done">
      <template v-if="job.done"
        >done <strong>{{ job.done }}</strong></template
      >
      <template v-else>{{ job.no_place }}</template>
    </p>
    <p class="small wanted">
      <template v-if="job.day"
        >wanted {{ job.day }}:
        <plain-btn v-if="open && job.chance" class="sure" :aria-expanded="chance" @click="chance = !chance"
          >{{ MARKS[job.mark] }} {{ job.sure }}</plain-btn
        >
        <strong v-else class="sure">{{ MARKS[job.mark] }} {{ job.sure }}</strong></template
      >
      <span v-else class="muted">whenever</span>
    </p>
    <ThreadBar
      class="bar"
      :total="job.steps"
      :done="job.steps_done"
      :pieces="job.quantity"
      :label="`${job.steps_done} of ${job.steps} steps done`"
    />
    <p v-for="line in job.helps" :key="line" class="small help">{{ line }}</p>
    <div v-if="open" class="more">
      <WorkingPanel v-if="chance && job.chance" :figure="job.chance" />
      <p class="line">
        <InlineField
          v-model="typed.wanted"
          before="wanted"
          :label="`Wanted, ${job.title}`"
          placeholder="Saturday, 12 Dec"
          :error="error('wanted')"
          :readonly="readonly"
          @commit="commit"
        />
        <InlineChoice
          v-model="typed.weight"
          :label="`Weight, ${job.title}`"
          :choices="week.weights"
          :error="error('weight')"
          :readonly="readonly"
          @commit="commit"
        />
        <InlineField
          v-model="typed.from_day"
          before="not before"
          :label="`Not before, ${job.title}`"
          placeholder="Thursday"
          :error="error('from_day')"
          :readonly="readonly"
          @commit="commit"
        />
        <InlineChoice
          before="after"
          :model-value="String(typed.after)"
          :label="`After, ${job.title}`"
          :choices="others"
          :error="error('after')"
          :readonly="readonly"
          @update:model-value="(code) => (typed.after = Number(code))"
          @commit="commit"
        />
        <InlineChoice
          v-if="week.people.length > 1"
          v-model="typed.who"
          before="by"
          :label="`Who, ${job.title}`"
          :choices="who"
          :error="error('who')"
          :readonly="readonly"
          @commit="commit"
        />
      </p>
      <p class="small">
        {{ job.pieces }} {{ job.pieces === 1 ? 'piece' : 'pieces' }} left:
        <plain-btn class="takes" :aria-expanded="working" @click="working = !working">{{
          job.takes
        }}</plain-btn>, {{ job.low }} to {{ job.high }} in 8 cases of 10; its plan alone says
        {{ job.expected }}.
      </p>
      <WorkingPanel v-if="working" :figure="job.time" />
      <p v-if="!readonly" class="acts">
        <plain-btn v-if="earlier !== undefined" @click="emit('put', { first: job.job, then: earlier })"
          >Do it earlier</plain-btn
        >
        <plain-btn v-if="later !== undefined" @click="emit('put', { first: later, then: job.job })"
          >Do it later</plain-btn
        >
        <plain-btn v-if="!job.from_day" @click="emit('wish', { ...typed, from_day: week.next_week })"
          >Not this week</plain-btn
        >
        <plain-btn v-if="byHand" @click="emit('letGo')">Leave the order to Conch</plain-btn>
        <router-link :to="{ name: 'plan', params: { id: job.job } }">Plan</router-link>
        <router-link :to="{ name: 'bench', params: { id: job.job } }">Bench</router-link>
      </p>
    </div>
  </article>
</template>

<style scoped>
.job {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  gap: 0 16px;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.job.open {
  box-shadow: inset 4px 0 0 var(--lagoon);
  padding-left: 12px;
}
.title.v-btn {
  justify-self: start;
  max-width: 100%;
  white-space: normal;
  text-align: left;
  font-weight: 700;
}
.done {
  text-align: right;
}
.takes.v-btn {
  font-weight: 700;
}
.wanted,
.help,
.more {
  padding-left: 8px;
}
.bar {
  justify-self: end;
  width: min(200px, 36vw);
}
.help,
.more {
  grid-column: 1 / -1;
}
.sure,
.sure.v-btn {
  font-weight: 700;
  color: var(--good);
}
.is-open .sure,
.is-open .sure.v-btn {
  color: var(--caution);
}
.is-late .sure,
.is-late .sure.v-btn {
  color: var(--stop);
}
.more {
  display: grid;
  gap: 4px;
  padding-block: 4px;
}
.line,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
}
@media (max-width: 600px) {
  .title.v-btn,
  .wanted {
    grid-column: 1 / -1;
  }
  .done {
    grid-row: 2;
    padding-left: 8px;
    text-align: left;
  }
  .bar {
    grid-row: 2;
    grid-column: 2;
    width: 28vw;
  }
}
</style>
