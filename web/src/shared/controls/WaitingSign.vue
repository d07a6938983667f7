<script setup lang="ts">
import { onScopeDispose, ref } from 'vue'

/** What stands where an answer is on its way: quiet at first, a sign once it takes longer than a blink. */
const LONG_MS = 400
defineProps<{ what: string }>()
const long = ref(false)
const timer = window.setTimeout(() => (long.value = true), LONG_MS)
onScopeDispose(() => window.clearTimeout(timer))
</script>

<template>
  <div class="waiting-sign" aria-busy="true">
    <p v-if="long" class="muted" role="status">◌ Fetching {{ what }} …</p>
    <span v-for="line in 4" :key="line" class="line" :class="{ long }" aria-hidden="true"></span>
  </div>
</template>

<style scoped>
.waiting-sign {
  display: grid;
  gap: 12px;
  padding: 24px 0;
  min-height: 180px;
  align-content: start;
}
.line {
  height: 16px;
  border-radius: var(--tight);
  background: var(--quiet);
  opacity: 0;
}
.line.long {
  opacity: 1;
}
.line:nth-of-type(2) {
  width: 82%;
}
.line:nth-of-type(3) {
  width: 64%;
}
.line:nth-of-type(4) {
  width: 72%;
}
</style>
