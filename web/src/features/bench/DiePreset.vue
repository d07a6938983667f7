<script setup lang="ts">
import { computed, ref, watch } from 'vue'

import type { BenchNow } from '@/features/bench/projected'
import type { FieldError, Figure } from '@/shared/api/client'
import { dieSettled } from '@/features/bench/dieSettled'
import DieOtherwise from '@/features/bench/DieOtherwise.vue'
import InlineField from '@/shared/controls/InlineField.vue'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { useUnits } from '@/shared/figures/useUnits'

/** Where to set the die before it runs, by what is known of it; once it is set, where it stands. */
const props = defineProps<{ bench: BenchNow; busy: boolean; error?: FieldError; onScrew?: FieldError }>()
const emit = defineEmits<{
  stands: [string]
  on: [screw: string, stands: string]
  since: ['seated' | 'honed']
}>()
const typed = ref('')
/** What else may be said of the die stands open. */
const otherwise = ref(false)
watch(
  () => props.bench.last,
  () => {
    typed.value = ''
    otherwise.value = false
  },
)
const told = computed(() => props.bench.preset)
/** What may be expected at the setting, and at the next one closed. */
const here = computed(() => {
  const odds = told.value?.odds.find((one) => one.here)
  const on = props.bench.step?.inside ? 'screw goes in' : 'nut goes on'
  return [
    { label: 'in class', figure: odds?.within },
    { label: on, figure: odds?.goes_on },
  ].flatMap(({ label, figure }) => (figure ? [{ label, figure }] : []))
})
const closer = computed(() => {
  const at = told.value?.odds.findIndex((one) => one.here) ?? -1
  return at > 0 ? told.value?.odds[at - 1] : undefined
})
const { told: shown } = useUnits()
const percent = (figure: Figure) => `${shown(figure.shown).text} ${shown(figure.shown).unit}`
/** Counted from where it is counted already: from touch, or from the screw that it grips. */
const set = (marks: string) => (told.value?.on ? emit('on', told.value.on, marks) : emit('stands', marks))
const settled = computed(() => dieSettled(props.bench))
const from = computed(() =>
  told.value?.trials
    ? told.value.trials === 1
      ? 'from 1 thread it has cut'
      : `from ${told.value.trials} threads it has cut`
    : `first guess; no record of this ${props.bench.moves} yet`,
)
</script>

<template>
  <section v-if="told" class="preset" aria-label="Die setting">
    <p class="stands">
      <template v-if="settled">
        Setting of the {{ bench.moves }}: <b>{{ bench.opened_words }}</b>, {{ from }}.
      </template>
      <template v-else>
        Set the {{ bench.moves }}: <b>{{ told.words }}</b>, {{ from }}.
      </template>
      <plain-btn :aria-expanded="otherwise" @click="otherwise = !otherwise">{{
        otherwise ? 'Close' : `More on this ${bench.moves}`
      }}</plain-btn>
    </p>
    <p v-if="!settled">{{ told.order }}</p>
    <div class="row">
      <template v-if="!settled">
        <v-btn
          variant="outlined"
          color="secondary"
          size="large"
          :disabled="busy"
          @click="set(String(told.eighths))"
          >Set as shown</v-btn
        >
        <v-btn
          v-if="told.left !== null && told.left !== told.eighths"
          variant="outlined"
          size="large"
          :disabled="busy"
          @click="set(String(told.left))"
          >Left as before: {{ told.left_words }}</v-btn
        >
        <InlineField
          v-model="typed"
          class="elsewhere"
          :class="{ asked: otherwise }"
          :label="`Setting of the ${bench.moves}, ${told.marks} (+ open, − closed)`"
          before="or"
          :after="`${told.marks}, − closed`"
          placeholder="e.g. −1.5"
          figure
          :error="error"
          @commit="typed.trim() && set(typed)"
        />
      </template>
      <FigureRow v-if="here.length" :key="bench.last" class="here" :figures="here" />
      <p v-if="closer" class="muted small elsewhere" :class="{ asked: otherwise }">
        {{ closer.words }}: in class {{ percent(closer.within)
        }}<template v-if="closer.goes_on">, {{ here[1]?.label }} {{ percent(closer.goes_on) }}</template>
      </p>
    </div>
    <DieOtherwise
      v-if="otherwise"
      :bench="bench"
      :busy="busy"
      :error="onScrew"
      @on="emit('on', $event, '')"
      @since="emit('since', $event)"
    />
  </section>
</template>

<style scoped>
.preset {
  display: grid;
  gap: 4px;
  border-left: 3px solid var(--lagoon);
  padding-left: 16px;
  margin-top: 8px;
}
.here {
  --block: 120px;
  flex: 1 1 264px;
}
.stands {
  font-size: var(--s20);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
}
@media (max-height: 820px) and (min-width: 901px) {
  .preset {
    gap: 4px;
    margin-top: 4px;
  }
}
/* A phone keeps the button in sight. */
@media (max-width: 600px) {
  .preset {
    padding-left: 12px;
  }
  .elsewhere:not(.asked) {
    display: none;
  }
  .stands {
    font-size: var(--s16);
  }
}
</style>
