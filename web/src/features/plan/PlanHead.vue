<script setup lang="ts">
import type { FieldError, Job } from '@/shared/api/client'
import InlineField from '@/shared/controls/InlineField.vue'
import ThreadBar from '@/shared/controls/ThreadBar.vue'

/** Title, pieces made, and the way to the bench. */
defineProps<{ job: Job; title: string; error?: FieldError; closed: boolean; planned: boolean }>()
const emit = defineEmits<{ set: [string]; commit: []; bench: [] }>()
</script>

<template>
  <header class="head">
    <h1>
      <InlineField
        label="Job title"
        long
        :model-value="title"
        :error="error"
        :readonly="closed"
        @update:model-value="emit('set', $event)"
        @commit="emit('commit')"
      />
    </h1>
    <div>
      <p class="small muted">{{ job.good }} of {{ job.quantity }} pieces made</p>
      <ThreadBar
        :total="job.steps"
        :done="job.steps_done"
        :now="1"
        :pieces="job.quantity"
        :label="`${job.steps_done} of ${job.steps} steps done`"
      />
    </div>
    <v-btn
      v-if="job.state !== 'closed'"
      color="secondary"
      size="large"
      :disabled="!planned"
      @click="emit('bench')"
      >{{ job.state === 'planned' ? 'Start at the bench' : 'Open the bench' }}</v-btn
    >
  </header>
</template>

<style scoped>
.head {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 260px auto;
  gap: 24px;
  align-items: center;
}
@media (max-width: 900px) {
  .head {
    grid-template-columns: minmax(0, 1fr);
    gap: 12px;
  }
}
</style>
