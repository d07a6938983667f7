<script setup lang="ts">
import { computed, ref, watch } from 'vue'

import { dieSettled } from '@/features/bench/dieSettled'
import type { BenchNow, SizeNow } from '@/features/bench/projected'
import type { Figure, Schemas } from '@/shared/api/client'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { type Labelled, named } from '@/shared/figures/labelled'
import WorkingPanel from '@/shared/figures/WorkingPanel.vue'
import { useUnits } from '@/shared/figures/useUnits'
import { useNarrow } from '@/shared/state/useScreen'

/** The one figure of the step at the size of the shop: what to dial, or what the step is for. */
const props = defineProps<{
  bench: BenchNow
  size: SizeNow | null
  /** What comes next of that size, where it is told. */
  cut: Schemas['CutShown'] | null
  /** Less beside the figure: the instruments stand under it. */
  brief: boolean
}>()
const { told, other, words: inUnit } = useUnits()
const narrow = useNarrow()
const asked = ref<Figure | null>(null)
watch(
  () => props.bench.last,
  () => (asked.value = null),
)

const step = computed(() => props.bench.step)
/** A closed job of before names its key figure alone. */
const big = computed(() => step.value?.big || step.value?.headline)
const headline = computed<Figure | null>(() => {
  if (props.cut) return props.cut.dial
  // Of a step that is cut to a size only what is dialled stands there; unknown, it stands empty.
  if (step.value?.measure === 'diameter' && props.bench.ahead) return null
  return step.value?.figures.find((f) => f.key === big.value)?.figure ?? null
})
const aimed = computed(() => step.value?.figures.find((f) => f.key === props.size?.measured)?.figure)
const last = computed(() => props.size?.readings.at(-1))
const words = computed(() => {
  if (!props.cut) return headline.value?.name ?? ''
  return props.cut.words || headline.value?.name || ''
})
const small = computed<Labelled[]>(() => {
  if (!props.cut && !headline.value) return aimed.value ? [{ label: 'target', figure: aimed.value }] : []
  if (!props.cut)
    return (
      (step.value?.figures ?? [])
        .filter((f) => f.key !== big.value)
        // A die is set first: how that is done needs the room.
        .slice(0, !dieSettled(props.bench) ? 0 : props.brief || narrow.value ? 2 : 4)
        .map((f) => named(f.figure))
    )
  // Where one is to get to is told in the sentence, too: a phone has no room for it twice.
  const target = narrow.value ? undefined : aimed.value
  const stop = step.value?.figures.find((f) => f.key === 'stop')?.figure
  const speed = step.value?.figures.find((f) => f.key === 'speed')?.figure
  const beside = [
    { label: 'still to come off', figure: props.cut.left },
    ...(stop && !narrow.value ? [{ label: 'stop at Z', figure: stop }] : []),
    ...(speed ? [{ label: 'speed', figure: speed }] : []),
    ...(target ? [{ label: 'target', figure: target }] : []),
    ...(props.cut.spring ? [{ label: 'spring left in', figure: props.cut.spring }] : []),
  ]
  return props.brief ? beside.slice(0, 2) : beside
})
const ask = (figure: Figure) => (asked.value = asked.value === figure ? null : figure)
</script>

<template>
  <div class="bench-figure">
    <template v-if="headline">
      <p class="words">{{ words }}</p>
      <button
        type="button"
        class="big"
        :title="`Show how ${headline.name} is worked out`"
        @click="ask(headline)"
      >
        <span v-if="step?.headline_words && big === step.headline && !cut" class="pre">{{
          step.headline_words
        }}</span>
        <span class="fig">{{ told(headline.shown).text }}</span><span class="unit">{{
          told(headline.shown).unit
        }}</span>
        <span v-if="other(headline.shown)" class="fig other">{{ other(headline.shown) }}</span>
      </button>
    </template>
    <p v-else-if="cut" class="big state" :class="cut.state" role="status">
      {{ cut.state === 'on-size' ? '✓' : '✗' }} {{ words }}
      <span v-if="last" class="fig">{{ told(last.reading).text }}</span>
    </p>
    <p v-if="last?.waits || (bench.ahead && !headline && !cut)" class="words" role="status">
      ◌ No connection to Conch. The next cut is shown when it answers.
    </p>
    <p v-if="cut && headline && cut.expect && cut.give_or_take" class="expect">
      <template v-if="!last">Worked out from the bar size you typed. Measure the bar first. </template>
      {{ cut.then }} Expect
      <span class="fig">{{ told(cut.expect.shown).text }} ± {{ told(cut.give_or_take.shown).text }}</span>
    </p>
    <p v-if="size?.judged" class="judged" :class="size.judged.within ? 'on-size' : 'past'" role="status">
      {{ size.judged.within ? '✓' : '✗' }} {{ inUnit(size.judged.words)
      }}<template v-if="size.judged.still">. {{ size.judged.still }}</template>
    </p>
    <FigureRow :key="step?.key" class="beside" :figures="small" :most="cut ? 3 : 4">
      <template v-if="cut" #first>
        <span class="figure">
          <span class="muted small">last reading</span>
          <span>
            <span class="fig read">{{ last ? told(last.reading).text : '—' }}</span>
            <span v-if="last" class="muted small">&nbsp;{{ told(last.reading).unit }}</span>
          </span>
        </span>
      </template>
    </FigureRow>
    <WorkingPanel v-if="asked" :figure="asked" />
  </div>
</template>

<style scoped>
.bench-figure {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: clamp(4px, 0.6vh, 10px);
  align-content: start;
}
.words,
.expect {
  color: var(--muted);
  font-size: var(--s20);
}
/* No ground is laid behind its letters: it would cover the words above it. */
@media (forced-colors: active) {
  .big {
    forced-color-adjust: none;
  }
}
.big {
  border: 0;
  background: none;
  padding: 0;
  text-align: left;
  cursor: pointer;
  color: var(--coral);
  font-weight: 700;
  line-height: 1;
  white-space: nowrap;
}
.big .fig {
  font-size: clamp(72px, min(12vw, 14vh), 150px);
  letter-spacing: -0.02em;
}
.big .fig.other {
  font-size: var(--s20);
  letter-spacing: 0;
  color: var(--muted);
  font-weight: 400;
}
.big .unit,
.big .pre {
  font-size: var(--s28);
  margin: 0 12px;
}
.state {
  font-size: clamp(44px, 7vw, 80px);
}
.state .fig {
  font-size: inherit;
}
.on-size {
  color: var(--good);
}
.past {
  color: var(--stop);
}
.judged {
  font-size: var(--s20);
  font-weight: 700;
}
.beside {
  --block: 120px;
  margin-top: 8px;
}
.read {
  font-size: var(--s20);
  font-weight: 700;
}
@media (max-width: 600px) {
  .big {
    white-space: normal;
  }
  .big .fig {
    font-size: min(62px, 16vw);
  }
  .big .other {
    display: block;
  }
  .words,
  .expect {
    font-size: var(--s16);
  }
  .bench-figure .beside > :deep(.figure) {
    margin: 0;
  }
  /* As many in a line as there is room for: with the keys up every line counts. */
  .bench-figure .beside {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 16px;
    margin: 4px 0 0;
  }
}
</style>
