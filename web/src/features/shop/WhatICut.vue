<script setup lang="ts">
import { useRouter } from 'vue-router'

import SizeRule from '@/shared/threads/SizeRule.vue'

/** Every thread that the shop can cut, on the rule of all sizes. */
const router = useRouter()
</script>

<template>
  <article class="cut" aria-label="Threads I can cut">
    <h2>Threads I can cut</h2>
    <SizeRule owned @choose="(name) => router.push({ name: 'threads', query: { q: name } })" />
  </article>
</template>

<style scoped>
.cut {
  display: grid;
  gap: 8px;
  padding: 16px 24px;
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
}
h2 {
  font-size: var(--s20);
}
</style>
