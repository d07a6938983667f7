<script setup lang="ts">
import { computed, ref, watch } from 'vue'

import { aloud } from '@/features/bench/aloud'
import { say } from '@/features/bench/sounds'
import type { Operation } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { named } from '@/shared/figures/labelled'
import { useKeys } from '@/shared/state/useKeys'

/** Passes of a threading tool, one after the other: what the dial reads at this one, from when on the mate is tried. */
const props = defineProps<{ step: Operation }>()
const { told, text } = useUnits()
const at = ref(0)
watch(
  () => props.step.key,
  () => (at.value = 0),
)
/** What goes with every pass: how far in all, how fast, what the carriage travels. */
const BESIDE = ['infeed', 'speed', 'travel', 'room']
const beside = computed(() =>
  props.step.figures.filter((one) => BESIDE.includes(one.key)).map((one) => named(one.figure)),
)
const count = computed(() => props.step.passes.length)
const pass = computed(() => props.step.passes[Math.min(at.value, count.value - 1)])
const over = computed(() => at.value >= count.value)
function on() {
  if (over.value) return
  at.value += 1
  const next = props.step.passes[at.value]
  if (aloud.value && next) say(told(next.shown).text)
}
const back = () => (at.value = Math.max(0, at.value - 1))
useKeys([{ key: 't', label: 'next pass', run: on, whenEmpty: true }])
</script>

<template>
  <section v-if="pass" class="passes" aria-label="Passes">
    <button type="button" class="big" :disabled="over" @click="on">
      <span class="fig">{{ told(pass.shown).text }}</span>
      <span class="of"
        >{{ told(pass.shown).unit }}, pass {{ Math.min(at + 1, count) }} of {{ count }} <kbd>t</kbd></span
      >
    </button>
    <div>
      <strong v-if="over" class="words" role="status">All passes done.</strong>
      <strong v-else-if="pass.tried" class="words" role="status">Try the mating part after this pass.</strong>
      <p v-else class="muted">{{ pass.name.replace(/ (to|at)$/, '') }}, {{ step.passes_told }}</p>
      <p v-if="!over && step.passes[at + 1]" class="muted">
        next pass: {{ text(step.passes[at + 1]!.shown) }}
      </p>
      <plain-btn :disabled="!at" @click="back">back one pass</plain-btn>
    </div>
    <div class="beside"><FigureRow :key="step.key" :figures="beside" /></div>
  </section>
</template>

<style scoped>
.passes {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
  flex: 1 1 320px;
}
.big {
  border: 2px solid var(--lagoon);
  border-radius: var(--round);
  background: var(--surface);
  color: inherit;
  padding: 4px 24px;
  min-width: 230px;
  cursor: pointer;
  display: grid;
  justify-items: center;
}
.big .fig {
  font-size: 96px;
  font-weight: 700;
  line-height: 1.1;
}
.beside {
  flex-basis: 100%;
}
.words {
  font-size: var(--s28);
  color: var(--caution);
}
@media (max-width: 600px) {
  .big .fig {
    font-size: 64px;
  }
}
</style>
