<script setup lang="ts">
import { computed } from 'vue'

import type { Figure } from '@/shared/api/client'
import { useWords } from '@/shared/api/useWords'
import { useUnits } from '@/shared/figures/useUnits'

/** The working of one figure: formula, inputs, source, what the other schools say. */
const props = defineProps<{ figure: Figure }>()
const { text, words } = useUnits()
const { meaningOf } = useWords()
/** What its name means, where a newcomer may not know it. */
const meaning = computed(() => meaningOf(props.figure.name))
const KINDS = {
  standard: 'standard',
  handbook: 'handbook',
  practice: 'practice',
  memory: 'from memory, not checked',
}
</script>

<template>
  <section class="working" :aria-label="`How ${figure.name} is worked out`">
    <p>
      <strong>How it is worked out:</strong> {{ figure.name }}
      <span class="fig">{{ text(figure.shown) }}</span>
      {{ figure.kind === 'computed' ? '=' : ':' }}
      {{ figure.formula }}<template v-if="figure.kind === 'table'"> (from the table)</template>
    </p>
    <p v-if="meaning" class="muted" role="note">{{ meaning }}</p>
    <ul v-if="figure.inputs.length" class="inputs">
      <li v-for="given in figure.inputs" :key="given.name">
        {{ given.name }} <span class="fig">{{ words(given) }}</span>
      </li>
    </ul>
    <p v-if="figure.note">{{ figure.note }}</p>
    <p class="muted small">
      Source:
      {{
        figure.source.title
          ? `${figure.source.title} (${KINDS[figure.source.kind]})`
          : KINDS[figure.source.kind]
      }}
    </p>
    <div v-if="figure.others.length" class="others">
      <p class="small muted">Other rules</p>
      <p v-for="other in figure.others" :key="other.school">
        <span class="fig">{{ text(other.shown) }}</span> {{ other.school }}. {{ other.remark }}
      </p>
    </div>
  </section>
</template>

<style scoped>
.working {
  border-left: 4px solid var(--lagoon);
  background: var(--quiet);
  padding: 8px 16px;
  display: grid;
  gap: 4px;
  border-radius: 0 var(--round) var(--round) 0;
}
strong {
  color: var(--lagoon);
}
.inputs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.others {
  display: grid;
  gap: 4px;
  border-top: 1px solid var(--line);
  padding-top: 4px;
}
</style>
