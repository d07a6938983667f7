<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client } from '@/shared/api/client'

/** What of the shop serves a thread, `but` the thing whose page it is; nothing is said where nothing is owned of it. */
const props = defineProps<{ thread: string; but?: string }>()
const { data: told } = useQuery({
  queryKey: computed(() => ['kit', 'serves', props.thread]),
  queryFn: () => ask(client.GET('/api/kit/serves', { params: { query: { thread: props.thread } } })),
})
const own = computed(() =>
  [...(told.value?.dies ?? []), ...(told.value?.taps ?? [])].filter((one) => one.id !== props.but),
)
const holds = computed(() => (told.value?.holding ?? []).filter((one) => one.fits))
const something = computed(
  () =>
    own.value.length ||
    told.value?.away.length ||
    told.value?.drill ||
    told.value?.instead.length ||
    told.value?.unlike.length,
)
</script>

<template>
  <section v-if="told && something" aria-label="In your shop">
    <h2>In your shop</h2>
    <ul>
      <li v-for="thing in own" :key="thing.id">
        ✓ <b>{{ thing.name }}</b><template v-if="thing.state !== 'ready'">, {{ thing.condition }}</template>
        <span v-if="thing.place" class="muted small">, {{ thing.place }}</span>
      </li>
      <li v-if="told.drill">
        ✓ drill <b class="fig">{{ told.drill }}</b>
      </li>
      <li v-for="one in holds" :key="one.thing.id">
        ✓ fits the {{ one.thing.name }}<template v-if="one.why">: {{ one.why }}</template>
      </li>
      <li v-for="thing in told.gauges" :key="thing.id">✓ {{ thing.name }}</li>
      <li v-for="thing in told.away" :key="thing.id">‖ {{ thing.name }}: {{ thing.condition }}</li>
      <li v-for="words in told.missing" :key="words">◆ {{ words }}</li>
      <li v-for="words in told.instead" :key="words">Use instead: {{ words }}</li>
      <li v-for="words in told.unlike" :key="words" class="muted">≠ {{ words }}</li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: var(--s16);
  border-bottom: 2px solid var(--line);
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  padding-top: 4px;
}
</style>
