<script setup lang="ts">
import { moments } from '@/shared/figures/dates'
import { computed } from 'vue'

import MeanwhileLine from '@/features/bench/MeanwhileLine.vue'
import type { BenchNow } from '@/features/bench/projected'
import WaitingEntries from '@/features/bench/WaitingEntries.vue'
import type { Problem, Schemas } from '@/shared/api/client'
import type { Waiting } from '@/shared/jobs/outbox'

/** What is to be known before anything is pressed: what went wrong, what others did, what waits to be sent. */
const props = defineProps<{
  bench: BenchNow
  looksOnly: boolean
  problem: Problem | null
  refusedBy: string
  meanwhile: Schemas['Meanwhile'] | null
  behind: boolean
  waiting: readonly Waiting[]
  away: boolean
  why: string
  /** When this device knew what it shows, where the server is away since the page was opened. */
  since: Date | null
}>()
const emit = defineEmits<{ again: []; accept: [reason: string]; drop: [key: string] }>()
const known = computed(() => props.since && moments.format(props.since))
</script>

<template>
  <div class="notices">
    <p v-if="bench.state === 'closed'" class="good">
      ✓ This job is closed. Reopen it on its plan to record more.
    </p>
    <p v-else-if="looksOnly" class="muted">◌ This device can view only.</p>
    <p v-if="known" class="kept" role="status">
      ◌ Conch does not answer. This is the job as this device last saw it, on {{ known }}. What you record is
      saved here and sent later.
    </p>
    <p v-if="problem" class="field-error big-error" role="alert">{{ problem.message }}</p>
    <p v-if="refusedBy" class="field-error big-error" role="alert">✗ {{ refusedBy }}</p>
    <MeanwhileLine v-if="meanwhile" :told="meanwhile" />
    <WaitingEntries
      v-if="behind && waiting.length"
      :waiting="waiting"
      :steps="bench.steps"
      :away="away"
      :why="why"
      @again="emit('again')"
      @accept="emit('accept', $event)"
      @drop="emit('drop', $event)"
    />
  </div>
</template>

<style scoped>
.notices {
  display: grid;
  gap: 8px;
}
.notices:not(:has(> *)) {
  display: none;
}
.good {
  color: var(--good);
}
.kept {
  color: var(--caution);
}
.big-error {
  font-size: var(--s20);
}
</style>
