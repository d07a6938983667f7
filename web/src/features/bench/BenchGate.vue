<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import BusyButton from '@/shared/controls/BusyButton.vue'

/** What must be read before the bench goes on: in this use others decide. */
defineProps<{ cautions: Schemas['Caution'][]; busy: boolean }>()
const emit = defineEmits<{ read: [] }>()
</script>

<template>
  <section class="gate" aria-label="Cautions to read first">
    <div class="words">
      <h1>▲ Caution: read before you start</h1>
      <ul>
        <li v-for="caution in cautions" :key="caution.code">
          <strong>{{ caution.do }}</strong>
          <p class="muted">{{ caution.why }}</p>
        </li>
      </ul>
      <p class="muted">The log records that you have read this.</p>
    </div>
    <BusyButton color="secondary" class="go" size="x-large" autofocus :busy="busy" @click="emit('read')"
      >I have read this</BusyButton
    >
  </section>
</template>

<style scoped>
/* The rows of title and figure are both its own. */
.gate {
  grid-row: 2 / 4;
  display: grid;
  gap: 24px;
  align-content: space-between;
}
.words {
  display: grid;
  gap: 24px;
  border-left: 8px solid var(--caution);
  padding: 8px 0 8px 32px;
}
h1 {
  color: var(--caution);
}
ul {
  display: grid;
  gap: 16px;
  max-width: 46em;
}
li strong {
  font-size: var(--s28);
  line-height: 1.25;
}
li p {
  font-size: var(--s20);
}
/* Where the next act is at every step. */
.go.v-btn {
  justify-self: end;
  min-width: 320px;
  height: 80px;
  font-size: var(--s28);
}
@media (max-width: 600px) {
  .go.v-btn {
    justify-self: stretch;
    min-width: 0;
    height: 64px;
    font-size: var(--s20);
  }
}
</style>
