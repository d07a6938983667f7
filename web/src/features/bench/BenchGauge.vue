<script setup lang="ts">
import { computed, ref } from 'vue'
import { VCombobox } from 'vuetify/components/VCombobox'
import { VSelect } from 'vuetify/components/VSelect'

import DieScrews from '@/features/bench/DieScrews.vue'
import type { BenchNow } from '@/features/bench/projected'
import type { Figure } from '@/shared/api/client'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { named } from '@/shared/figures/labelled'
import WhyItBinds from '@/features/bench/WhyItBinds.vue'
import MeasuredThread from '@/features/bench/MeasuredThread.vue'
import type { useGauges } from '@/features/bench/useGauges'
import type { Problem, Unit } from '@/shared/api/client'

/** What the thread is tried with, what that said, and what to do with the die. */
const tried = defineModel<string>('tried', { required: true })
/** Which very one of these, by its name. */
const mate = defineModel<string | null>('mate', { required: true })
const props = defineProps<{
  bench: BenchNow
  busy: boolean
  /** Its words are new: no verdict is taken yet. */
  rests: boolean
  ruled: number
  open: boolean
  gauges: ReturnType<typeof useGauges>
  problem: Problem | null
}>()
const emit = defineEmits<{
  verdict: [string]
  was: [string]
  die: []
  size: [reading: string, wire: string, unit: Unit, sure: boolean]
}>()
const { offered, gauge, verdicts } = props.gauges
/** The keys of the verdicts act again: the list lets go of them. */
const list = ref<{ blur: () => void }>()
const leave = () => requestAnimationFrame(() => list.value?.blur())
const MARKS = { right: '✓', over: '✗', under: '✗', unclear: '≈' }
/** How likely this thread, and the next, is in its class. */
const chances = computed(() =>
  [props.bench.advice?.more, props.bench.advice?.piece, props.bench.advice?.chance]
    .filter((one): one is Figure => !!one)
    .map((figure, place) => {
      const turn = !place && !!props.bench.advice?.more
      return { ...named(figure), strong: turn, both: turn }
    }),
)
/** Something stands elsewhere than it came: a die, a head, or the adjustable tap of a hole. */
const stands = computed(
  () => props.bench.opened_eighths !== 0 && (!props.bench.step?.inside || props.bench.moves === 'tap'),
)
</script>

<template>
  <div class="gauge" :class="{ advises: bench.advice && bench.verdict && !bench.adjusted }">
    <div v-if="offered.length > 1 && open" class="tried">
      <v-select
        ref="list"
        v-model="tried"
        :items="offered"
        item-title="name"
        item-value="code"
        label="gauge with"
        hide-details
        @update:model-value="leave"
      />
      <v-combobox
        v-if="gauge?.mate"
        v-model="mate"
        :items="bench.mates"
        :menu-props="{ location: 'top' }"
        :label="bench.step?.inside ? 'which screw (optional)' : 'which nut (optional)'"
        :error-messages="problem?.of('mate')?.message"
        maxlength="60"
        autocomplete="off"
        hide-details="auto"
      />
      <span class="muted small">{{ gauge?.remark }}</span>
    </div>
    <MeasuredThread
      v-if="!verdicts.length && open"
      :bench="bench"
      :busy="busy"
      anvils
      :reading="problem?.of('reading')"
      @size="(reading, wire, unit, sure) => emit('size', reading, wire, unit, sure)"
    />
    <div v-else class="verdicts" role="group" :aria-label="`How does ${gauge?.name ?? 'it'} fit?`">
      <button
        v-for="(v, n) in verdicts"
        :key="v.code"
        type="button"
        class="verdict"
        :class="{ said: bench.verdict?.code === v.code, passes: v.passes }"
        :aria-pressed="bench.verdict?.code === v.code"
        :disabled="busy || rests"
        @click="emit('verdict', v.code)"
      >
        <kbd>{{ n + 1 }}</kbd> {{ v.words }}
      </button>
    </div>
    <p v-if="!bench.due.now && !bench.verdict && !bench.cause" class="order" role="status">
      No need to gauge this piece; the next one is piece {{ bench.due.piece }}. Gauge this one if anything
      felt different.
    </p>
    <p v-if="bench.ahead && bench.verdict && !bench.advice" class="order" role="status">
      ◌ No connection to Conch. The die setting is shown when it answers.
    </p>
    <p v-if="bench.contradiction" class="order against" role="status">≠ {{ bench.contradiction }}</p>
    <div v-if="bench.advice && bench.verdict" class="advice" role="status">
      <p class="said-words" :class="bench.verdict.metal">
        {{ MARKS[bench.verdict.metal] }} {{ bench.verdict.words }}
      </p>
      <WhyItBinds
        v-if="ruled < bench.causes.length"
        :bench="bench"
        :busy="busy"
        :ruled="ruled"
        @was="emit('was', $event)"
        @die="emit('die')"
      />
      <p v-else-if="bench.adjusted" class="order">
        {{
          bench.advice.again
            ? 'Cut further. Then gauge again.'
            : `The ${bench.moves} has been adjusted. Run it on again, then gauge again.`
        }}
      </p>
      <div v-else class="move">
        <DieScrews v-if="bench.advice.middle" :middle="bench.advice.middle" />
        <div>
          <p class="order">{{ bench.advice.order }}</p>
          <FigureRow :key="bench.last" :figures="chances" />
          <p v-if="stands" class="muted stands">
            Setting of the {{ bench.moves }}: {{ bench.opened_words }}.
          </p>
        </div>
      </div>
    </div>
    <p v-else-if="bench.cause" class="order" role="status">{{ bench.cause.cure }}</p>
    <p v-else-if="stands" class="muted">Setting of the {{ bench.moves }}: {{ bench.opened_words }}.</p>
  </div>
</template>

<style scoped>
.gauge {
  display: grid;
  gap: 12px;
  align-content: start;
}
.tried {
  display: grid;
  grid-template-columns: minmax(0, 220px) minmax(0, 240px) minmax(0, 1fr);
  gap: 12px;
  align-items: center;
}
.verdicts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(215px, 1fr));
  gap: 8px;
}
.verdict {
  border: 2px solid var(--line);
  background: var(--surface);
  border-radius: var(--round);
  padding: 16px 24px;
  font-size: var(--s28);
  line-height: 1.15;
  text-align: left;
  cursor: pointer;
  min-height: clamp(76px, 11vh, 112px);
}
/* Once it was said, what follows from it is read: the verdicts make room. */
.gauge:has(.advice) .verdicts {
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
}
.gauge:has(.advice) .verdict {
  min-height: 56px;
  padding: 8px 16px;
  font-size: var(--s20);
}
.verdict.passes {
  border-color: var(--good);
}
.verdict.said {
  border-color: var(--lagoon);
  border-width: 4px;
  font-weight: 700;
}
.move {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 16px;
  align-items: center;
}
.stands {
  margin-top: 12px;
}
.said-words {
  font-size: var(--s28);
  font-weight: 700;
}
.right {
  color: var(--good);
}
.over,
.under {
  color: var(--stop);
}
.unclear,
.against {
  color: var(--caution);
}
.order {
  font-size: clamp(20px, 3vh, 28px);
  line-height: 1.25;
}
/* A low screen: the order, the screws and what is pressed next stay in sight together. */
@media (max-height: 790px) {
  .gauge {
    gap: 8px;
  }
  .gauge:has(.advice) .verdict {
    min-height: 48px;
    padding: 4px 12px;
    font-size: var(--s16);
  }
  .order,
  .said-words {
    font-size: var(--s20);
  }
}
@media (max-width: 600px) {
  .tried {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 4px 8px;
  }
  .tried .small {
    grid-column: 1 / -1;
  }
  /* What it was tried with is said: what follows from it has the room. */
  .gauge.advises .tried,
  .gauge.advises .verdicts {
    display: none;
  }
  .verdict {
    padding: 8px 16px;
    min-height: 56px;
    font-size: var(--s20);
  }
  .move {
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
  }
  .order,
  .said-words {
    font-size: var(--s20);
  }
}
</style>
