<script setup lang="ts">
import { VSwitch } from 'vuetify/components/VSwitch'

import StandIns from '@/features/bench/StandIns.vue'
import ReferencePiece from '@/features/bench/ReferencePiece.vue'
import type { Live, Sent } from '@/features/bench/useInstruments'
import { useUnits } from '@/shared/figures/useUnits'

/** The tool as the readout sees it, and what is left to go, signed. */
defineProps<{ live: Live | null; lost: boolean }>()
const sound = defineModel<boolean>('sound', { required: true })
const reference = defineModel<Sent[] | null>('reference', { required: true })
const { told, text } = useUnits()
</script>

<template>
  <section class="live" aria-label="Instruments">
    <p v-if="lost" class="doubt" role="status">◌ No connection to Conch.</p>
    <p v-else-if="!live" class="muted">No readout data yet.</p>
    <template v-else>
      <p v-if="live.doubt" class="doubt" role="alert">✗ {{ live.name }}: {{ live.doubt }}</p>
      <div class="axes">
        <div v-for="axis in live.axes" :key="axis.axis" class="axis" :class="axis.warned">
          <span class="name">{{ axis.axis }}</span>
          <template v-if="axis.to_go">
            <span class="fig go">{{ told(axis.to_go).text }}</span>
            <span class="muted small"
              >{{ told(axis.to_go).unit }} to go
              <strong v-if="axis.warned" role="status">{{ axis.words }}</strong>
              <span class="fig">· now at {{ text(axis.at) }}</span></span
            >
          </template>
          <span v-else class="fig at">at {{ told(axis.at).text }}</span>
        </div>
      </div>
    </template>
    <StandIns>
      <v-switch v-model="sound" label="beep near the target" density="compact" hide-details color="primary" />
      <ReferencePiece v-model="reference" />
    </StandIns>
  </section>
</template>

<style scoped>
.live {
  margin-top: 12px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  padding: 8px 16px;
  display: grid;
  gap: 4px;
}
.axes {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
}
.axis {
  flex: 1 1 240px;
  display: flex;
  gap: 4px 12px;
  align-items: center;
}
.axis .small {
  display: grid;
}
.name {
  font-weight: 700;
  font-size: var(--s28);
}
.go {
  font-size: var(--s44);
  font-weight: 700;
  min-width: 5.2ch;
  text-align: right;
}
.at {
  font-size: var(--s20);
}
.near .go,
.near strong {
  color: var(--caution);
}
.past .go,
.past strong,
.doubt {
  color: var(--stop);
}
</style>
