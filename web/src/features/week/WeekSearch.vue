<script setup lang="ts">
import { computed } from 'vue'

import { useSearch } from '@/features/week/useSearch'

/** A longer look for a better order: how far it is, a stop, what it brought. */
const { found, trouble, begin, stop } = useSearch()
const words = computed(() => {
  const now = found.value
  if (!now) return ''
  const better = now.better_percent > 0 ? `${now.better_percent} % better so far` : 'none better so far'
  if (now.runs) return `${Math.round(now.elapsed_s)} of ${now.seconds} seconds, ${better}`
  if (now.failed) return 'The search ended with an error. The order above is the one found at once.'
  const brought =
    now.better_percent > 0
      ? `An order was found that is ${now.better_percent} % better.`
      : 'No better order was found.'
  return now.proven ? `${brought} There is none better.` : brought
})
</script>

<template>
  <p class="search small">
    <plain-btn v-if="!found?.runs" @click="begin">Look longer for a better order</plain-btn>
    <template v-else>
      <progress
        :value="found.elapsed_s"
        :max="found.seconds"
        aria-label="Search for a better order"
      ></progress>
      <plain-btn @click="stop">Stop</plain-btn>
    </template>
    <span v-if="trouble" class="field-error" role="alert">{{ trouble }}</span>
    <span v-else-if="words" role="status">{{ words }}</span>
  </p>
</template>

<style scoped>
.search {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}
progress {
  accent-color: var(--lagoon);
  width: 160px;
}
</style>
