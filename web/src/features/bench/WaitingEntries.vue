<script setup lang="ts">
import { computed, ref } from 'vue'

import type { BenchNow } from '@/features/bench/projected'
import ReasonField from '@/shared/controls/ReasonField.vue'
import { useChoices } from '@/shared/api/useChoices'
import type { Waiting } from '@/shared/jobs/outbox'

/** What was recorded and is not on the server's disk yet; one that it refused is settled here. */
const props = defineProps<{
  waiting: readonly Waiting[]
  steps: BenchNow['steps']
  away: boolean
  why: string
}>()
const emit = defineEmits<{ again: []; accept: [reason: string]; drop: [key: string] }>()
const asking = ref(false)
const first = computed(() => props.waiting[0])
const refused = computed(() => (first.value?.refused ? first.value : undefined))
const count = computed(() => {
  const n = props.waiting.length
  return n === 1 ? '1 record is saved on this device' : `${n} records are saved on this device`
})
const { data: choices } = useChoices()
const kindWords = (kind: string) => choices.value?.entries.find((one) => one.code === kind)?.name ?? kind
function words({ said }: Waiting): string {
  const title = props.steps.find((step) => step.key === said.step)?.title ?? ''
  const told = said as Partial<Record<'reading' | 'unit' | 'verdict' | 'reason', string>>
  const value = [told.reading && `${told.reading} ${told.unit ?? ''}`, told.verdict, told.reason]
  return [title, kindWords(said.kind), ...value].filter(Boolean).join(' · ')
}
</script>

<template>
  <section class="waiting" :class="{ refused }" aria-label="Not sent yet">
    <template v-if="refused">
      <p role="alert">
        <strong>✗ Refused: {{ words(refused) }}.</strong> {{ refused.refused }}
        <template v-if="waiting.length > 1">
          More records are waiting for this one: {{ waiting.length - 1 }}.</template
        >
      </p>
      <ReasonField
        v-if="asking"
        ask="Why is it acceptable?"
        :actions="[{ code: 'accept', label: 'Accept as it is' }]"
        @say="(_, reason) => emit('accept', reason)"
        @close="asking = false"
      />
      <p v-else class="acts">
        <v-btn variant="outlined" size="large" @click="emit('again')">Send again</v-btn>
        <v-btn v-if="refused.code === 'needs-reason'" variant="outlined" size="large" @click="asking = true"
          >Accept with a reason</v-btn
        >
        <v-btn variant="outlined" size="large" @click="emit('drop', refused.key)">Delete this record</v-btn>
      </p>
    </template>
    <details v-else-if="waiting.length">
      <summary role="status">
        ◌ {{ count }}{{ away && !why ? ' and will be sent when Conch answers.' : '.' }} {{ why }}
      </summary>
      <ol>
        <li v-for="one in waiting" :key="one.key">{{ words(one) }}</li>
      </ol>
    </details>
  </section>
</template>

<style scoped>
.waiting {
  border-left: 5px solid var(--lagoon);
  padding: 4px 16px;
  background: var(--surface);
}
.waiting.refused {
  border-color: var(--stop);
}
summary {
  padding: 4px 0;
}
ol {
  margin: 0;
  padding-left: 24px;
  max-height: 22vh;
  overflow-y: auto;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  margin-top: 4px;
}
</style>
