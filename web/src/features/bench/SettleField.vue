<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'

import type { Problem, Schemas } from '@/shared/api/client'
import { useChoices } from '@/shared/api/useChoices'

/** What becomes of what is not as it should be, why, and which mistake was made: the next one is told of it. */
defineProps<{ ask: string; problem?: Problem | null; begins: number | null }>()
type Disposition = Schemas['DispositionShown']
const emit = defineEmits<{ settle: [how: Disposition, words: string, why: string]; down: []; close: [] }>()
const { data: choices } = useChoices()
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
const check = computed(() => choices.value?.mistakes.find((one) => one.code === why.value)?.remark)
</script>

<template>
  <form
    class="settle"
    @submit.prevent="plainly && emit('settle', plainly, words, why)"
    @keydown.esc="emit('close')"
  >
    <p>{{ ask }}</p>
    <div class="said">
      <v-text-field
        ref="input"
        v-model="words"
        class="words"
        :aria-label="ask"
        placeholder="in a few words"
        persistent-placeholder
        :error-messages="problem?.of('reason')?.message"
        maxlength="2000"
        autocomplete="off"
      />
      <v-select v-model="why" class="why" label="cause" :items="mistakes" />
    </div>
    <p v-if="check" class="muted">Next time: {{ check }}</p>
    <span class="buttons">
      <v-btn
        v-for="(one, n) in choices?.dispositions"
        :key="one.code"
        :type="n === 0 ? 'submit' : 'button'"
        :color="n === 0 ? 'secondary' : undefined"
        :variant="n === 0 ? 'flat' : 'outlined'"
        :title="one.remark"
        @click="n === 0 ? undefined : emit('settle', one, words, why)"
        >{{ one.name }}</v-btn
      >
      <plain-btn v-if="begins" @click="emit('down')">Put this piece down, start piece {{ begins }}</plain-btn>
      <plain-btn @click="emit('close')">Cancel</plain-btn>
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
  padding: 14px 18px;
}
.said,
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
.words {
  flex: 3 1 260px;
}
.why {
  flex: 1 1 220px;
}
</style>
