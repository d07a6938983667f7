<script setup lang="ts">
/** What a row of a batch tells, and the marks of its scale, each at its height. */
defineProps<{
  title: string
  note: string
  marks: { name: string; words: string; y: number; quiet?: boolean }[]
  /** The marks are words that a thread was found with, and need the room. */
  ladder?: boolean
}>()
</script>

<template>
  <th scope="row" class="name" :class="{ ladder }">
    <b>{{ title }}</b>
    <span class="small muted">{{ note }}</span>
    <ul class="marks" aria-label="Scale">
      <li v-for="mark in marks" :key="mark.name" :style="{ top: `${mark.y - 10}px` }">
        <span :class="{ muted: mark.quiet }">{{ mark.name }}</span>
        <span v-if="mark.words" class="fig size">{{ mark.words }}</span>
      </li>
    </ul>
  </th>
</template>

<style scoped>
b,
b + span {
  display: block;
  max-width: 130px;
}
.ladder b,
.ladder b + span {
  max-width: 96px;
}
.marks {
  position: absolute;
  top: 8px;
  right: 0;
  text-align: right;
}
.marks li {
  position: absolute;
  right: 0;
  white-space: nowrap;
  font-size: var(--s14);
  line-height: 20px;
}
.size {
  margin-left: 8px;
}
@media (max-width: 600px) {
  .marks,
  .marks li {
    position: static;
    text-align: left;
  }
  .marks {
    display: flex;
    flex-wrap: wrap;
    gap: 0 16px;
  }
  b,
  b + span,
  .ladder b,
  .ladder b + span {
    display: inline;
    max-width: none;
    margin-right: 8px;
  }
  .ladder .marks {
    display: none;
  }
}
</style>
