<script setup lang="ts">
import { days } from '@/shared/figures/dates'
import type { Schemas } from '@/shared/api/client'

/** What went wrong before at a step like this one, and the check that would have caught it. */
defineProps<{ lessons: readonly Schemas['LessonShown'][] }>()
</script>

<template>
  <aside v-if="lessons.length" class="lesson" aria-label="Lesson from an earlier job">
    <p v-for="one in lessons.slice(0, 1)" :key="one.entry">
      <strong>◆ {{ one.check || one.said }}</strong>
      <span class="muted small told">
        {{ one.mistake }}, {{ one.job }}, {{ days.format(new Date(one.at)) }}: “{{ one.said }}”</span
      >
    </p>
  </aside>
</template>

<style scoped>
.told {
  margin-left: 12px;
}
.lesson {
  border-left: 5px solid var(--lagoon);
  padding: 4px 16px;
}
</style>
