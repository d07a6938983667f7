<script setup lang="ts">
import { computed, onScopeDispose, ref, watch } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'
import { VSwitch } from 'vuetify/components/VSwitch'

import { aloud } from '@/features/bench/aloud'
import { beep, say } from '@/features/bench/sounds'
import { useCountdown } from '@/features/bench/useCountdown'
import type { Schemas } from '@/shared/api/client'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { named } from '@/shared/figures/labelled'
import { stored } from '@/shared/state/stored'
import { useKeys } from '@/shared/state/useKeys'

/** Turns of a die or a tap, counted by a key or a tap of the hand: what to do at which one, seen, heard, spoken. */
const props = defineProps<{ count: Schemas['TurnsShown']; step: string }>()
const isYes = (value: unknown): value is boolean => typeof value === 'boolean'
const sound = stored('bench.sound', false, isYes)
const made = ref(0)
/** Turns are being counted: what comes before the first is out of the way. */
const counting = defineModel<boolean>('counting', { required: true })
watch(made, (turns) => (counting.value = turns > 0), { immediate: true })
/** The speed that is really used: the plan's, until another of the lathe is chosen. */
const chosen = ref(0)
const used = computed(() => props.count.speeds[chosen.value])
const told = computed(() =>
  (used.value ? [used.value.seconds, used.value.travel, used.value.stands] : []).map(named),
)
const speeds = computed(() =>
  props.count.speeds.map((one, n) => ({ value: n, title: `${one.speed} rev/min` })),
)
/** Seconds until the spindle stands, once it was switched off. */
const { left, run, halt } = useCountdown()
/** A stand-in for a pulse of the spindle: it counts on by itself at the speed used. */
const pulse = ref(false)
let ticking = 0
watch([pulse, used], () => {
  window.clearInterval(ticking)
  if (pulse.value && used.value) ticking = window.setInterval(on, 60_000 / used.value.speed)
})
onScopeDispose(() => window.clearInterval(ticking))
watch(
  () => props.step,
  () => {
    pulse.value = false
    chosen.value = 0
    to(0)
  },
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
  if (now.value?.off) run(used.value?.wait ?? 0)
  if (over.value) pulse.value = false
  if (!aloud.value) return
  const wait = left.value ? ` Wait ${left.value} seconds. Do not reverse yet.` : ''
  say(now.value ? `${made.value}. ${now.value.words}${wait}` : String(made.value))
}
function to(turns: number) {
  made.value = Math.max(0, turns)
  halt()
}
useKeys([{ key: 't', label: 'count a turn', run: on, whenEmpty: true }])
</script>

<template>
  <section class="counter" aria-label="Turns">
    <button type="button" class="big" :class="now?.sign" @click="on">
      <span class="fig">{{ made }}</span>
      <span class="of">of {{ count.turns }} turns <kbd>t</kbd></span>
    </button>
    <div class="beside">
      <strong v-if="now" class="words" :class="now.sign" role="status">{{ now.words }}</strong>
      <p v-else-if="next" class="muted">At turn {{ next.turn }}: {{ next.words }}</p>
      <p v-if="left" class="muted" role="timer">
        Wait {{ left }} s for the spindle to stop. Do not reverse yet.
      </p>
      <span class="row">
        <plain-btn @click="to(made - count.step)">back one turn</plain-btn>
        <plain-btn @click="to(0)">back to 0</plain-btn>
      </span>
    </div>
    <details class="more">
      <summary>{{ used ? `Speed ${used.speed} rev/min, sound` : 'Sound' }}</summary>
      <span class="row">
        <v-switch v-model="sound" label="beep" density="compact" hide-details color="primary" />
        <v-switch v-model="aloud" label="speak the count" density="compact" hide-details color="primary" />
        <v-switch
          v-if="used"
          v-model="pulse"
          label="count automatically (test)"
          density="compact"
          hide-details
          color="primary"
        />
      </span>
      <div v-if="used" class="row used">
        <v-select
          v-if="speeds.length > 1"
          v-model="chosen"
          class="speed"
          :items="speeds"
          label="spindle speed"
          density="compact"
          hide-details
        />
        <span v-else class="fig">{{ used.speed }} rev/min</span>
        <FigureRow class="told" :figures="told" />
      </div>
    </details>
  </section>
</template>

<style scoped>
.counter {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
  margin-top: 32px;
  flex: 1 1 320px;
}
.big {
  border: 2px solid var(--lagoon);
  border-radius: var(--round);
  background: var(--surface);
  color: inherit;
  padding: 4px 24px;
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
.told {
  --block: 120px;
  flex: 1 1 408px;
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
  gap: 4px 16px;
  align-items: center;
}
.more {
  flex-basis: 100%;
}
.used {
  gap: 8px 24px;
}
.speed {
  max-width: 180px;
}
.row button {
  min-height: 44px;
}
/* A phone: here the count is the figure, its words beside it. */
@media (max-width: 600px) {
  .counter {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    margin-top: 4px;
    gap: 4px 16px;
  }
  .big {
    min-width: 150px;
    padding: 4px 12px;
  }
  .big .fig {
    font-size: 62px;
  }
  .words {
    font-size: var(--s20);
  }
  .more,
  .counter > .working {
    grid-column: 1 / -1;
  }
}
</style>
