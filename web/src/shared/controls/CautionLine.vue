<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'

/** A caution beside its step: a word and a shape, never colour alone. */
defineProps<{ cautions: Schemas['Caution'][] }>()
</script>

<template>
  <ul v-if="cautions.length" class="cautions">
    <li v-for="caution in cautions" :key="caution.code">
      <strong>▲ Caution</strong> {{ caution.do }} <span class="why">{{ caution.why }}</span>
    </li>
  </ul>
</template>

<style scoped>
.cautions {
  border-left: 5px solid var(--caution);
  background: var(--quiet);
  border-radius: 0 var(--round) var(--round) 0;
  padding: 8px 16px;
}
strong {
  color: var(--caution);
  margin-right: 8px;
}
.why {
  color: var(--muted);
}
@media (max-width: 600px) {
  .cautions {
    padding: 4px 12px;
    line-height: 1.3;
  }
}
</style>
