<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client, type Schemas } from '@/shared/api/client'

/** Every thread that the shop can cut, series by series. */
const { data, error } = useQuery({
  queryKey: ['kit', 'threads'],
  queryFn: () => ask(client.GET('/api/kit/threads')),
})
const series = computed(() => {
  const found = new Map<string, Schemas['CapabilityShown'][]>()
  for (const one of data.value ?? []) found.set(one.series, [...(found.get(one.series) ?? []), one])
  return [...found]
})
</script>

<template>
  <article class="cut" aria-label="Threads I can cut">
    <h2>Threads I can cut</h2>
    <p v-if="error" class="field-error" role="alert">{{ error.message }}</p>
    <p v-if="!error && !series.length" class="muted">Add a die or a tap to see the threads you can cut.</p>
    <section v-for="[name, threads] in series" :key="name" :aria-label="name">
      <h3>{{ name }}</h3>
      <ul>
        <li v-for="one in threads" :key="one.thread">
          <router-link class="fig" :to="{ name: 'threads', query: { q: one.thread } }">{{
            one.thread
          }}</router-link>
          <span class="muted small">{{ one.words }}</span>
        </li>
      </ul>
    </section>
  </article>
</template>

<style scoped>
.cut {
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
  padding: 18px 22px;
  display: grid;
  gap: 12px;
}
h2 {
  font-size: var(--s28);
}
h3 {
  font-size: var(--s16);
  border-bottom: 2px solid var(--line);
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 4px 18px;
  padding-top: 6px;
}
li {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
</style>
