<script setup lang="ts">
import { useId } from 'vue'

/** A sentence that says what is in force; a press opens it into its fields, in place. */
defineProps<{ name: string; sentence: string; open: boolean }>()
const emit = defineEmits<{ toggle: [] }>()
const id = useId()
</script>

<template>
  <section :aria-label="name">
    <button
      type="button"
      class="head"
      :aria-expanded="open"
      :aria-label="name"
      :aria-describedby="id"
      @click="emit('toggle')"
    >
      <b>{{ name }}</b> <span :id="id">{{ sentence }}</span>
    </button>
    <slot v-if="open"></slot>
  </section>
</template>

<style scoped>
section {
  border-bottom: 1px solid var(--line);
}
.head {
  display: grid;
  grid-template-columns: 122px minmax(0, 1fr) auto;
  gap: 8px;
  width: 100%;
  padding: 10px 4px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}
.head::after {
  content: '▾';
  color: var(--lagoon);
}
.head[aria-expanded='true']::after {
  content: '▴';
}
@media (max-width: 520px) {
  .head {
    grid-template-columns: 84px minmax(0, 1fr) auto;
  }
}
.head:hover b {
  color: var(--lagoon);
}
</style>
