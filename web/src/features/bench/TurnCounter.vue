<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { VSwitch } from 'vuetify/components/VSwitch'

import { beep, say } from '@/features/bench/sounds'
import type { Schemas } from '@/shared/api/client'
import { stored } from '@/shared/state/stored'
import { useKeys } from '@/shared/state/useKeys'

/** Turns of a die or a tap, counted by a key or a tap of the hand: what to do at which one, seen, heard, spoken. */
const props = defineProps<{ count: Schemas['Count']; step: string }>()
const isYes = (value: unknown): value is boolean => typeof value === 'boolean'
const aloud = stored('bench.aloud', false, isYes)
const sound = stored('bench.sound', false, isYes)
const made = ref(0)
watch(
  () => props.step,
  () => (made.value = 0),
)
const PITCH = { back: 660, off: 220, end: 220 }
/** What is to be done now; what comes next. */
const now = computed(() => props.count.beats.find((beat) => beat.turn === made.value))
const next = computed(() => props.count.beats.find((beat) => beat.turn > made.value))
const over = computed(() => made.value >= props.count.turns)

function on() {
  if (over.value) return
  made.value = Math.min(props.count.turns, made.value + props.count.step)
  if (sound.value && now.value) beep(PITCH[now.value.sign])
  if (aloud.value) say(now.value ? `${made.value}. ${now.value.words}` : String(made.value))
}
const back = () => (made.value = Math.max(0, made.value - props.count.step))
useKeys([{ key: 't', label: 'one turn more', run: on, whenEmpty: true }])
</script>

<template>
  <section class="counter" aria-label="Turns">
    <button type="button" class="big" :class="now?.sign" @click="on">
      <span class="fig">{{ made }}</span>
      <span class="of">of {{ count.turns }} turns <kbd>t</kbd></span>
    </button>
    <div class="beside">
      <strong v-if="now" class="words" :class="now.sign" role="status">{{ now.words }}</strong>
      <p v-else-if="next" class="muted">{{ next.words }} at {{ next.turn }}</p>
      <span class="row">
        <plain-btn @click="back">one less</plain-btn>
        <plain-btn @click="made = 0">from the start</plain-btn>
      </span>
      <span class="row">
        <v-switch v-model="sound" label="beep" density="compact" hide-details color="primary" />
        <v-switch v-model="aloud" label="spoken" density="compact" hide-details color="primary" />
      </span>
    </div>
  </section>
</template>

<style scoped>
.counter {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
  margin-top: 34px;
  flex: 1 1 320px;
}
.big {
  border: 2px solid var(--lagoon);
  border-radius: var(--round);
  background: var(--surface);
  color: inherit;
  padding: 6px 22px;
  min-width: 210px;
  cursor: pointer;
  display: grid;
  justify-items: center;
}
.big .fig {
  font-size: 72px;
  font-weight: 700;
  line-height: 1;
}
.big.back {
  border-color: var(--caution);
}
.big.off,
.big.end {
  border-color: var(--stop);
}
.words {
  font-size: var(--s28);
}
.words.back {
  color: var(--caution);
}
.words.off,
.words.end {
  color: var(--stop);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
}
.row button {
  min-height: 44px;
}
@media (max-width: 520px) {
  .counter {
    margin-top: 6px;
  }
  .big .fig {
    font-size: 44px;
  }
}
</style>
