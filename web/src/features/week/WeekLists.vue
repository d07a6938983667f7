<script setup lang="ts">
import { computed, ref } from 'vue'

import WeekToday from '@/features/week/WeekToday.vue'
import type { Week } from '@/features/week/useWeek'

/** What follows from the order: why it is so, what to lay out, what is missing, what is cut from which bar. */
const props = defineProps<{ week: Week }>()
/** So much of a list is in sight; the rest is a press away. */
const SHORT = 5
const opened = ref(false)
const missing = computed(() => (opened.value ? props.week.missing : props.week.missing.slice(0, SHORT)))
const listed = (names: string[]) => names.join(', ')
</script>

<template>
  <div class="lists">
    <section v-if="week.reasons.length || week.out.length || week.by_hand.length" aria-label="Why this order">
      <h2>Why this order</h2>
      <ul>
        <li v-for="one in week.reasons" :key="one.text">
          <span>{{ one.text }}</span>
          <strong v-if="one.saves" class="fig">{{ one.saves }} less</strong>
        </li>
        <li v-for="line in week.by_hand" :key="line">{{ line }}</li>
        <li v-for="one in week.out" :key="one.job">
          <span
            ><router-link :to="{ name: 'plan', params: { id: one.job } }">{{ one.title }}</router-link> is not
            in the week: {{ one.why }}.</span
          >
        </li>
      </ul>
    </section>
    <WeekToday />
    <section v-if="week.lay_out.length" aria-label="To lay out">
      <h2>To lay out next time</h2>
      <ul>
        <li v-for="one in week.lay_out" :key="one.thing + one.place">
          <span
            >{{ one.thing }} <span class="muted small">for {{ listed(one.jobs) }}</span></span
          >
          <span class="place">{{ one.place }}</span>
        </li>
      </ul>
    </section>
    <section v-if="week.missing.length" aria-label="Missing">
      <h2>Missing</h2>
      <ul>
        <li v-for="one in missing" :key="one.what">
          <span
            >✗ {{ one.what }} <span class="muted small">for {{ listed(one.jobs) }}</span
            ><template v-if="one.instead"
              ><br /><span class="small">or {{ one.instead }}</span></template
            ></span
          >
          <span v-if="one.when" class="place">by {{ one.when }}</span>
        </li>
      </ul>
      <plain-btn v-if="week.missing.length > SHORT" :aria-expanded="opened" @click="opened = !opened">{{
        opened ? 'Fewer' : `and ${week.missing.length - SHORT} more`
      }}</plain-btn>
    </section>
    <section v-if="week.bars.length || week.buys.length" aria-label="To cut">
      <h2>To cut</h2>
      <ul>
        <li v-for="bar in week.bars" :key="bar.bar" class="bar">
          <p>
            <strong>{{ bar.name }}</strong>: {{ bar.left }} left
          </p>
          <div class="rod" aria-hidden="true">
            <span
              v-for="(share, at) in bar.shares"
              :key="at"
              :class="{ left: at === bar.shares.length - 1 }"
              :style="{ flexGrow: share }"
            ></span>
          </div>
          <p v-for="cut in bar.cuts" :key="cut.job + cut.each" class="small">
            {{ cut.pieces }} × {{ cut.each }}, {{ cut.title }}
          </p>
        </li>
        <li v-for="line in week.buys" :key="line">✗ To buy: {{ line }}</li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.lists {
  display: contents;
}
.lists > * {
  margin-bottom: 24px;
  break-inside: avoid;
}
h2 {
  font-size: var(--s16);
  border-bottom: 2px solid var(--ink);
  padding-bottom: 4px;
}
li {
  display: flex;
  gap: 4px 16px;
  justify-content: space-between;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.place {
  flex: none;
  max-width: 45%;
  text-align: right;
  color: var(--muted);
  font-size: var(--s14);
}
li strong.fig {
  flex: none;
}
.bar {
  display: grid;
  gap: 4px;
}
.rod {
  display: flex;
  height: 16px;
  border: 1px solid var(--ink);
}
.rod span {
  flex: 1 1 0;
  background: var(--metal);
  border-right: 1px solid var(--ink);
}
@media (forced-colors: active) {
  .rod .left {
    forced-color-adjust: none;
  }
}
.rod .left {
  border-right: 0;
  background: repeating-linear-gradient(-45deg, transparent 0 5px, var(--line) 5px 6px);
}
</style>
