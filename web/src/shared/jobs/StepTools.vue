<script setup lang="ts">
import { computed } from 'vue'

import { useNeeds } from '@/shared/jobs/useNeeds'

/** What of the shop a step is done with, where it lies, what to mind; of a die what it did last. */
const props = defineProps<{ id: number; part: number; revision: number; step: string }>()
const { needs } = useNeeds(() => ({ id: props.id, part: props.part, revision: props.revision }))
const there = computed(() => needs.value.filter((one) => one.id && one.steps.includes(props.step)))
</script>

<template>
  <ul v-if="there.length" aria-label="Tools for this step" class="muted">
    <li v-for="one in there" :key="`${one.what} ${one.id}`">
      {{ one.thing }}<template v-if="one.place">, {{ one.place }}</template
      ><template v-if="one.note">: {{ one.note }}</template
      ><template v-if="one.did">. Last time: {{ one.did }}</template>
    </li>
  </ul>
</template>

<style scoped>
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
}
</style>
