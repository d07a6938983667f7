<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, onMounted, ref } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'

import { ask, client, type Problem, type Schemas } from '@/shared/api/client'
import { useChoices } from '@/shared/api/useChoices'

/** What becomes of what is not as it should be, why, and which mistake was made: the next one is told of it. */
const props = defineProps<{
  asks: string
  problem?: Problem | null
  begins: number | null
  job: number
  /** A size that came past its limit: the part may be changed to suit it. */
  past: boolean
}>()
type Disposition = Schemas['DispositionShown']
const emit = defineEmits<{
  settle: [how: Disposition, words: string, why: string]
  down: []
  suit: []
  close: []
}>()
const { data: choices } = useChoices()
const { data: suits } = useQuery({
  queryKey: computed(() => ['suit', props.job, props.past]),
  queryFn: () => ask(client.GET('/api/jobs/{job_id}/suit', { params: { path: { job_id: props.job } } })),
  enabled: () => props.past,
  gcTime: 0,
})
const words = ref('')
const why = ref('')
const input = ref<{ focus: () => void }>()
onMounted(() => input.value?.focus())
const mistakes = computed(() => [
  { value: '', title: 'not known, or no mistake' },
  ...(choices.value?.mistakes ?? []).map((one) => ({ value: one.code, title: one.name })),
])
/** What Enter does. */
const plainly = computed(() => choices.value?.dispositions[0])
/** What is not wanted back is pressed apart from the others. */
const others = computed(() =>
  (choices.value?.dispositions.slice(1) ?? []).filter((one) => one.outcome !== 'scrap'),
)
const scraps = computed(() => choices.value?.dispositions.find((one) => one.outcome === 'scrap'))
const check = computed(() => choices.value?.mistakes.find((one) => one.code === why.value)?.remark)
</script>

<template>
  <form
    class="settle"
    @submit.prevent="plainly && emit('settle', plainly, words, why)"
    @keydown.esc="emit('close')"
  >
    <p>{{ asks }}</p>
    <div class="said">
      <v-text-field
        ref="input"
        v-model="words"
        class="words"
        :aria-label="asks"
        placeholder="in a few words"
        persistent-placeholder
        :error-messages="problem?.of('reason')?.message"
        maxlength="2000"
        autocomplete="off"
      />
      <v-select v-model="why" class="why" label="cause" :items="mistakes" />
    </div>
    <p v-if="check" class="muted">Next time: {{ check }}</p>
    <ul class="means">
      <li v-for="one in choices?.dispositions" :key="one.code">
        <b>{{ one.name }}</b>: {{ one.remark }}
      </li>
      <li v-if="suits">
        <b>Change the part</b>: {{ suits.what }}, from {{ suits.before }} to {{ suits.after }}.
        <template v-if="suits.costs.length">{{ suits.costs.join(' ') }}</template>
        <template v-else>Nothing else of the plan changes.</template>
      </li>
    </ul>
    <span class="buttons">
      <v-btn v-if="plainly" type="submit" color="secondary">{{ plainly.name }}</v-btn>
      <v-btn
        v-for="one in others"
        :key="one.code"
        variant="outlined"
        @click="emit('settle', one, words, why)"
        >{{ one.name }}</v-btn
      >
      <v-btn v-if="suits" variant="outlined" @click="emit('suit')">Change the part: {{ suits.after }}</v-btn>
      <plain-btn v-if="begins" @click="emit('down')">Put this piece down, start piece {{ begins }}</plain-btn>
      <plain-btn @click="emit('close')">Cancel</plain-btn>
      <v-btn
        v-if="scraps"
        class="scrap"
        variant="outlined"
        color="error"
        @click="scraps && emit('settle', scraps, words, why)"
        >{{ scraps.name }}</v-btn
      >
    </span>
  </form>
</template>

<style scoped>
.settle {
  display: grid;
  gap: 8px;
  background: var(--surface);
  border: 2px solid var(--lagoon);
  border-radius: var(--round);
  padding: 12px 16px;
}
.means {
  color: var(--muted);
  font-size: var(--s14);
  columns: 2;
  column-gap: 32px;
}
.means li {
  break-inside: avoid;
}
@media (max-width: 700px) {
  .means {
    columns: 1;
  }
}
.said,
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
.scrap {
  margin-left: auto;
}
.words {
  flex: 3 1 260px;
}
.why {
  flex: 1 1 220px;
}
</style>
