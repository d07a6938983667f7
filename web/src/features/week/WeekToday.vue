<script setup lang="ts">
import { useToday } from '@/shared/jobs/useToday'

/** What was done today, and which jobs that moves; nothing before something is recorded. */
const today = useToday()
</script>

<template>
  <section v-if="today" class="today" aria-label="Done today">
    <h2>Done today</h2>
    <ul>
      <li v-for="one in today.done" :key="one.job">
        <router-link :to="{ name: 'plan', params: { id: one.job } }">{{ one.title }}</router-link>:
        {{ one.text }}
      </li>
      <li v-for="line in today.moves" :key="line" class="moves">{{ line }}</li>
      <li v-if="!today.moves.length" class="muted">No job is done later or sooner for it.</li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: var(--s16);
  border-bottom: 2px solid var(--ink);
  padding-bottom: 4px;
}
li {
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
</style>
