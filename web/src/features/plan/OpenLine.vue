<script setup lang="ts">
import { computed, useId } from 'vue'

/** A sentence that says what is in force; a press opens it into its fields, in place. */
const props = defineProps<{ name: string; sentence: string; open: boolean }>()
const emit = defineEmits<{ toggle: [] }>()
const id = useId()
/** In a strip there is room for the first of several facts, of a long one for how it begins; a phone has a row for all. */
const LONG = 44
const first = computed(() => {
  const [fact = '', ...others] = props.sentence.split(/ · |; /)
  const begins = fact.length > LONG ? (fact.split(/, | \(/)[0] ?? fact) : fact
  return others.length ? `${begins} +${others.length}` : begins
})
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
      <b>{{ name }}</b> <span :id="id" class="whole">{{ sentence }}</span>
      <span class="first" aria-hidden="true">{{ first }}</span>
    </button>
    <div v-if="open" class="panel"><slot></slot></div>
  </section>
</template>

<style scoped>
/* One of a strip: its neighbours stand beside it, what it opens under all of them. */
section {
  display: contents;
}
.head {
  position: relative;
  flex: 1 1 0;
  min-width: 96px;
  display: grid;
  align-content: start;
  grid-template-columns: minmax(0, 1fr);
  padding: 4px 12px 4px 0;
  border: 0;
  background: none;
  font-size: var(--s14);
  line-height: 20px;
  text-align: left;
  cursor: pointer;
}
.head b::after {
  content: ' ▾';
}
.head[aria-expanded='true'] b::after {
  content: ' ▴';
}
.head b {
  color: var(--lagoon);
}
/* Read out whole; seen by its first fact. */
.whole {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
  white-space: nowrap;
}
.first {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
  overflow-wrap: anywhere;
}
@media (min-width: 521px) and (max-width: 1100px) {
  .head {
    min-width: 150px;
  }
}
.head:hover b,
.head[aria-expanded='true'] b {
  text-decoration: underline;
  text-underline-offset: 3px;
}
@media (pointer: coarse) {
  .head {
    min-height: 48px;
  }
}
.panel {
  order: 1;
  flex: 0 0 100%;
  min-width: 0;
  padding: 8px 0 12px;
  border-top: 1px solid var(--line);
}
@media (max-width: 520px) {
  .head {
    grid-template-columns: 84px minmax(0, 1fr);
    gap: 8px;
    min-height: 44px;
    align-items: center;
    padding: 8px 0;
    border-top: 1px solid var(--line);
    font-size: var(--s16);
    line-height: inherit;
  }
  .whole {
    position: static;
    width: auto;
    height: auto;
    clip-path: none;
    white-space: normal;
  }
  .first {
    display: none;
  }
  .panel {
    order: 0;
    border-top: 0;
  }
}
</style>
