<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import BenchAside from '@/features/bench/BenchAside.vue'
import BenchAsk from '@/features/bench/BenchAsk.vue'
import BenchFigure from '@/features/bench/BenchFigure.vue'
import BenchGate from '@/features/bench/BenchGate.vue'
import BenchGauge from '@/features/bench/BenchGauge.vue'
import BenchStep from '@/features/bench/BenchStep.vue'
import BenchSaid from '@/features/bench/BenchSaid.vue'
import BenchNotices from '@/features/bench/BenchNotices.vue'
import { dieSettled } from '@/features/bench/dieSettled'
import BenchOutcome from '@/features/bench/BenchOutcome.vue'
import BenchTop from '@/features/bench/BenchTop.vue'
import DiePreset from '@/features/bench/DiePreset.vue'
import ReadingField from '@/features/bench/ReadingField.vue'
import BenchKeys from '@/features/bench/BenchKeys.vue'
import CautionLine from '@/shared/controls/CautionLine.vue'
import WaitingSign from '@/shared/controls/WaitingSign.vue'
import EmptyShell from '@/shared/controls/EmptyShell.vue'
import { useGauges } from '@/features/bench/useGauges'
import LessonLine from '@/features/bench/LessonLine.vue'
import LivePanel from '@/features/bench/LivePanel.vue'
import PassCounter from '@/features/bench/PassCounter.vue'
import UnlikelyReading from '@/features/bench/UnlikelyReading.vue'
import WayDown from '@/features/bench/WayDown.vue'
import TurnCounter from '@/features/bench/TurnCounter.vue'
import { useBench } from '@/features/bench/useBench'
import { type Does, useBenchAction } from '@/features/bench/useBenchAction'
import { useSettledHere } from '@/features/bench/useSettledHere'
import { useRest } from '@/features/bench/useRest'
import ZeroKept from '@/features/bench/ZeroKept.vue'
import { useTyped } from '@/features/bench/useTyped'
import { useUnlikely } from '@/features/bench/useUnlikely'
import { useArrivals } from '@/features/bench/useArrivals'
import { useBenchKeys } from '@/features/bench/useBenchKeys'
import { useAwake } from '@/features/bench/useAwake'
import { useBenchRoom } from '@/features/bench/useBenchRoom'
import { usePedal } from '@/features/bench/usePedal'
import { useSizes } from '@/features/bench/useSizes'
import { useMe } from '@/shared/api/useMe'
import type { Schemas, Unit } from '@/shared/api/client'
import { provideUnit, useUnits } from '@/shared/figures/useUnits'
import BusyButton from '@/shared/controls/BusyButton.vue'
import { useTitle } from '@/shared/state/useTitle'

const props = defineProps<{ id: number }>()
const router = useRouter()
const {
  bench,
  problem,
  busy,
  away,
  why,
  behind,
  waiting,
  meanwhile,
  since,
  load,
  record,
  undo,
  close,
  retry,
  throwAway,
  suitPart,
} = useBench(props.id)
const { unit } = useUnits(() => bench.value?.unit)
useTitle(() => bench.value && `${bench.value.title}, bench`)
provideUnit(() => bench.value?.unit)
const counting = ref(false)
/** What was dialled before the reading, where the person says so. */
const dialled = ref('')
const details = ref(false)
const { pad, leftHanded, touched, shown: room } = useBenchRoom()
const asking = ref<'' | 'reason' | 'note' | 'close'>('')
const field = ref<InstanceType<typeof ReadingField>>()
const button = ref<{ $el: HTMLElement }>()

const step = computed(() => bench.value?.step ?? null)
/** The cautions of the job's use are not read yet: nothing else is asked. */
const gated = computed(() => open.value && bench.value !== null && bench.value.unread.length > 0)
const { looksOnly } = useMe()
/** A closed job is looked at, no more; nor does an onlooker more with any. */
const open = computed(() => bench.value?.state !== 'closed' && !looksOnly.value)
/** A threading tool goes in pass after pass, and no size is read between. */
const passing = computed(() => !!step.value?.passes.length && !step.value.dimensions.length)
const gauging = computed(() => step.value?.measure === 'verdict')
const { chosen, size, dimension, drives, cut } = useSizes(bench)
/** Which size of which step is read now. */
const readNow = computed(() =>
  step.value ? [bench.value?.piece, step.value.key, size.value?.measured].join(' ') : '',
)
const typed = useTyped(props.id, readNow)
watch(chosen, () => (dialled.value = ''))
const askWhy = () => (asking.value = 'reason')
/** What was closed last, by its name: it stands beside its undo until something else is done. */
const closed = ref('')
async function act(kind: 'zero' | 'setting' | 'done') {
  const title = bench.value?.steps.find((one) => one.state === 'now')?.title ?? ''
  if (await record({ kind })) closed.value = kind === 'done' ? title : ''
}
async function takeBack() {
  if (await undo()) closed.value = ''
}
const { settled, first, oil } = useSettledHere(bench)
const action = useBenchAction({ bench, typed, first, size })
const doing: Record<Does, () => unknown> = {
  close: finish,
  zero: () => act('zero'),
  oil: () => (settled.value += 1),
  'not-that': () => (settled.value += 1),
  setting: () => act('setting'),
  read: () => (typed.value.trim() ? read() : field.value?.focus()),
  done: () => act('done'),
  why: askWhy,
  'go-on': () => record({ kind: 'go-on' }),
}
const rest = useRest(() => `${bench.value?.piece} ${step.value?.key} ${action.value?.label}`)
/** What is typed is recorded at once; whatever closes something waits until its words could be read. */
function press() {
  const { value: next } = action
  if (next && (rest.meant() || next.does === 'read')) void doing[next.does]()
}
/** Figures typed on the button are a reading. */
function toField(event: KeyboardEvent) {
  if (!field.value || event.target instanceof HTMLInputElement || !/^[\d.,]$/.test(event.key)) return
  field.value.focus()
  event.stopPropagation()
}

async function read(by = '', sure = false) {
  sentBy.value = by
  const measured = size.value?.measured ?? ''
  const said = { reading: typed.value, dialled: dialled.value, unit: unit.value, measured, by, sure }
  if (!(await record({ kind: 'reading', ...said }))) return
  // What was typed while it was on its way is the next one's.
  if (typed.value === said.reading) typed.value = ''
  if (dialled.value === said.dialled) dialled.value = ''
}
const sentBy = ref('')
const { unlikely, by: askedOf } = useUnlikely(problem, typed, sentBy)
/** What was meant by an unlikely reading is read in its place. */
function meant(text: string) {
  typed.value = text
  void read()
}
async function turn(part: string) {
  if (await record({ kind: 'turn-to', part })) typed.value = dialled.value = ''
}
async function takeUp(piece: number) {
  if (!(await record({ kind: 'take-up', piece }))) return
  typed.value = dialled.value = asking.value = ''
}
async function finish() {
  if (!(await close(''))) asking.value = 'close'
  else await plan()
}
async function say(code: string, words: string) {
  const done = code === 'close' ? await close(words) : await record({ kind: 'note', reason: words })
  if (done) asking.value = ''
}
async function settle(how: Schemas['DispositionShown'], words: string, why: string) {
  const said = { reason: words, disposition: how.code, why }
  if (await record({ kind: how.outcome, ...said })) asking.value = ''
}
async function suit() {
  if (await suitPart(step.value?.key ?? '')) asking.value = ''
}
function back() {
  const done = bench.value?.steps.filter((s) => s.state === 'done').at(-1)
  if (done) void record({ kind: 'again', again: done.key })
}
const askNote = () => (asking.value = 'note')
watch([bench, asking], async () => {
  if (asking.value) return
  await nextTick()
  // On size there is nothing more to be typed: Enter is the button's.
  if (!field.value || size.value?.cut?.state === 'on-size') button.value?.$el.focus()
  // A finger says itself when it wants to type: a keyboard would come up over the figure.
  else if (!touched.value || pad.value) field.value.focus()
})
const gauges = useGauges(bench)
const { tried, mate } = gauges
const gauged = (code: string) =>
  record({ kind: 'verdict', verdict: code, tried: tried.value, mate: (mate.value ?? '').trim() })
/** A reading is asked about: no verdict is taken before that is answered. What it may bind for is tried again, and said. */
const questioned = computed(() => problem.value?.of('reading')?.code === 'unlikely')
const verdict = (n: number) => {
  const said = gauges.verdicts.value[n]
  if (gauging.value && said && !questioned.value) void gauged(said.code)
}
const measured = (reading: string, wire: string, said: Unit, sure = false, by = '') =>
  record({ kind: 'verdict', reading, wire, unit: said, tried: tried.value, by, sure })
const plan = () => router.push({ name: 'plan', params: { id: props.id } })
useBenchKeys({
  back,
  undo: () => void takeBack(),
  press,
  note: () => askNote(),
  plan: () => void plan(),
  verdict,
})
/** It is of the size that is looked at, or of the thread over the wires of the step. */
function take(text: string, by: string) {
  if (gauging.value) void measured(text, '', unit.value, false, by)
  else if (size.value && !bench.value?.zero) {
    typed.value = text
    void read(by)
  }
}
const { listening, sound, live, lost, reference, refusedBy } = useArrivals(props.id, busy, take)
const sleeps = useAwake()
// The foot presses what stands there: while something is asked, its key types.
const foot = usePedal(() => !!button.value, { press, undo: () => void takeBack() })
/** The die is set first: its turns are counted once it is. */
const setting = computed(() => open.value && !!bench.value && !dieSettled(bench.value))
void load()
</script>

<template>
  <div v-if="bench" class="bench" :class="[room, { details }]" :aria-busy="busy">
    <BenchTop :bench="bench" :fixed="busy || gated || !open" @part="turn" @piece="takeUp" />
    <BenchGate v-if="gated" :cautions="bench.unread" :busy="busy" @read="record({ kind: 'read' })" />
    <template v-else-if="step">
      <BenchStep :id="id" :bench="bench" :step="step" :oil="open ? oil : ''" />
      <BenchSaid :bench="bench" :size="gauging ? null : size" :cut="gauging ? null : cut" />
      <div class="middle">
        <BenchGauge
          v-if="gauging"
          v-model:tried="tried"
          v-model:mate="mate"
          :bench="bench"
          :busy="busy"
          :rests="rest.resting.value || questioned"
          :ruled="settled"
          :open="open"
          :gauges="gauges"
          :problem="problem"
          @verdict="gauged"
          @size="measured"
          @was="record({ kind: 'cause', cause: $event })"
          @die="settled = bench.causes.length"
        />
        <div v-else>
          <div class="figures" :class="{ setting, counted: bench.count && open && !oil }">
            <PassCounter v-if="open && step && passing" :step="step" />
            <BenchFigure
              v-else
              :bench="bench"
              :size="size"
              :cut="cut"
              :brief="(listening && open) || !!bench.count"
            />
            <TurnCounter
              v-if="bench.count && open && step && !oil"
              v-model:counting="counting"
              :count="bench.count"
              :step="step.key"
            />
          </div>
          <WayDown v-if="size && dimension && !listening && open" :size="size" :dimension="dimension" />
          <LivePanel
            v-if="listening && open"
            v-model:sound="sound"
            v-model:reference="reference"
            :live="live"
            :lost="lost"
          />
          <DiePreset
            v-if="open && !counting"
            :bench="bench"
            :busy="busy"
            :error="problem?.of('stands')"
            :on-screw="problem?.of('on')"
            @stands="record({ kind: 'setting', stands: $event })"
            @on="(on, stands) => record({ kind: 'setting', on, stands })"
            @since="record({ kind: 'setting', since: $event })"
          />
        </div>
        <BenchAside
          v-model="chosen"
          :bench="bench"
          :size="gauging ? null : size"
          :dimension="dimension"
          :busy="busy"
          :wires="gauging && open && settled >= bench.causes.length && gauges.verdicts.value.length > 0"
          :problem="problem"
          @size="measured"
        />
      </div>
    </template>
    <BenchOutcome v-else :id="id" :bench="bench" />
    <footer>
      <BenchNotices
        :bench="bench"
        :looks-only="looksOnly"
        :problem="unlikely || (asking === 'reason' && problem?.of('reason')) ? null : problem"
        :refused-by="refusedBy"
        :meanwhile="meanwhile"
        :behind="behind"
        :waiting="waiting"
        :away="away"
        :why="why"
        :since="since"
        @again="retry()"
        @accept="retry({ kind: 'accept', reason: $event })"
        @drop="throwAway"
      />
      <LessonLine v-if="step && !gated && !asking && open" :lessons="bench.lessons" />
      <CautionLine v-if="step && !gated" :cautions="step.cautions" />
      <UnlikelyReading
        v-if="unlikely && !gauging && !asking"
        :error="unlikely"
        :typed="typed"
        :busy="busy"
        @meant="meant"
        @sure="read(askedOf, true)"
      />
      <BenchAsk
        v-if="asking"
        :id="id"
        :bench="bench"
        :asking="asking"
        :problem="problem"
        @suit="suit"
        @settle="settle"
        @say="say"
        @down="bench.begins && takeUp(bench.begins)"
        @close="asking = ''"
      />
      <ZeroKept
        v-else-if="bench.zero && bench.asks_keeping && open && !gated"
        :busy="busy"
        @keeps="record({ kind: 'zero', keeps: $event })"
      />
      <form
        v-else-if="action && open && !gated"
        class="act"
        novalidate
        @submit.prevent="press"
        @keydown="toField"
      >
        <ReadingField
          v-if="size && dimension && !gauging && !bench.zero && !bench.paused"
          ref="field"
          v-model:typed="typed"
          v-model:dialled="dialled"
          v-model:pad="pad"
          :size="size"
          :dimension="dimension"
          :drives="drives"
          :problem="problem"
          :touched="touched"
        />
        <BusyButton
          ref="button"
          type="submit"
          color="secondary"
          class="go"
          :class="{ resting: rest.resting.value && action.does !== 'read' }"
          :aria-disabled="(rest.resting.value && action.does !== 'read') || undefined"
          :busy="busy"
          size="x-large"
          @pointerdown="rest.down"
          @keydown="rest.down"
          >{{ action.label }}</BusyButton
        >
      </form>
      <BenchKeys
        v-model:left-handed="leftHanded"
        v-model:details="details"
        :bench="bench"
        :foot="foot"
        :sleeps="sleeps"
        :open="open"
        :gated="gated"
        :gauging="gauging"
        :closed="closed"
        @back="back"
        @undo="takeBack"
        @note="askNote"
        @why="askWhy"
        @act="(kind) => record({ kind })"
        @instruments="listening = !listening"
      />
    </footer>
  </div>
  <EmptyShell v-else-if="problem">
    {{ problem.message }}
    <router-link v-if="problem.code === 'unreadable-job'" :to="{ name: 'plan', params: { id } }"
      >See why</router-link
    >
    <router-link v-else to="/">Back to Jobs</router-link>
  </EmptyShell>
  <WaitingSign v-else class="fetching" what="the bench" />
</template>

<style scoped src="./bench.css"></style>
