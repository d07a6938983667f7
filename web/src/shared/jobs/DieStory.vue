<script setup lang="ts">
import { days } from '@/shared/figures/dates'
import type { Schemas } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** What dies did, a line each: how the die stood, the blank, what the nut said, for which piece of which job. */
defineProps<{ dies: Schemas['DieDid'][]; withJob?: boolean }>()
const { text } = useUnits()
</script>

<template>
  <ul class="dies">
    <li v-for="die in dies" :key="`${die.at}${die.thread}`">
      <strong v-if="!withJob" class="fig">{{ die.thread }}</strong>
      <strong>{{ die.setting }}</strong>
      <span v-if="die.blank"
        >blank diameter <b class="fig">{{ text(die.blank) }}</b></span
      >
      <span :class="die.passes ? 'passes' : 'fails'">{{ die.passes ? '✓' : '✗' }} {{ die.said }}</span>
      <span class="muted small">
        {{ die.metal }}, piece {{ die.piece
        }}<template v-if="withJob">
          of
          <router-link :to="{ name: 'plan', params: { id: die.job_id } }">{{
            die.job
          }}</router-link></template
        >, {{ days.format(new Date(die.at)) }}
      </span>
    </li>
  </ul>
</template>

<style scoped>
.dies {
  display: grid;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.passes {
  color: var(--good);
}
.fails {
  color: var(--stop);
}
</style>
