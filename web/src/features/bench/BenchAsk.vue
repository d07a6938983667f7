<script setup lang="ts">
import { computed } from 'vue'

import SettleField from '@/features/bench/SettleField.vue'
import type { BenchNow } from '@/features/bench/projected'
import type { Problem, Schemas } from '@/shared/api/client'
import ReasonField from '@/shared/controls/ReasonField.vue'

/** What needs words: what becomes of a step or its piece, a note, why a job is closed. */
const props = defineProps<{
  id: number
  bench: BenchNow
  asking: 'reason' | 'note' | 'close'
  problem: Problem | null
}>()
const emit = defineEmits<{
  settle: [how: Schemas['DispositionShown'], words: string, why: string]
  down: []
  suit: []
  say: [code: string, words: string]
  close: []
}>()
const past = computed(() => props.bench.sizes.some((one) => one.cut?.state === 'past'))
</script>

<template>
  <SettleField
    v-if="asking === 'reason'"
    :asks="bench.hindrance || 'What will you do with this piece, and why?'"
    :problem="problem"
    :begins="bench.begins"
    :job="id"
    :past="past && !bench.ahead"
    @suit="emit('suit')"
    @settle="(how, words, why) => emit('settle', how, words, why)"
    @down="emit('down')"
    @close="emit('close')"
  />
  <ReasonField
    v-else
    :ask="asking === 'note' ? 'Note' : 'Not every piece is made. Why close the job?'"
    :actions="[
      asking === 'note'
        ? { code: 'note', label: 'Save the note' }
        : { code: 'close', label: 'Close the job' },
    ]"
    @say="(code, words) => emit('say', code, words)"
    @close="emit('close')"
  />
</template>
