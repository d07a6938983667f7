<script setup lang="ts">
import { computed, ref, watchEffect } from 'vue'
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router'

import CautionLine from '@/shared/controls/CautionLine.vue'
import ClashPanel from '@/features/plan/ClashPanel.vue'
import DieRecord from '@/features/plan/DieRecord.vue'
import WaitingSign from '@/shared/controls/WaitingSign.vue'
import EmptyShell from '@/shared/controls/EmptyShell.vue'
import PlanPapers from '@/features/plan/PlanPapers.vue'
import FactGroups from '@/features/plan/FactGroups.vue'
import PartLine from '@/features/plan/PartLine.vue'
import PartDrawing from '@/shared/drawing/PartDrawing.vue'
import PartTabs from '@/features/plan/PartTabs.vue'
import PlanKit from '@/features/plan/PlanKit.vue'
import PlanWays from '@/features/plan/PlanWays.vue'
import PlanHead from '@/features/plan/PlanHead.vue'
import PlanRun from '@/features/plan/PlanRun.vue'
import PartShape from '@/features/plan/PartShape.vue'
import StepDetail from '@/features/plan/StepDetail.vue'
import StepGears from '@/features/plan/StepGears.vue'
import UnreadableJob from '@/features/plan/UnreadableJob.vue'
import { ownOf } from '@/features/plan/parts'
import { useDocument } from '@/features/plan/useDocument'
import { useChoices } from '@/shared/api/useChoices'
import { useFirst } from '@/shared/api/useFirst'
import { useOwned } from '@/shared/api/useOwned'
import { provideUnit } from '@/shared/figures/useUnits'
import { useKeys } from '@/shared/state/useKeys'
import { useTitle } from '@/shared/state/useTitle'

const props = defineProps<{ id: number; part: number }>()
const router = useRouter()
const edited = useDocument(props.id, () => props.part)
const {
  job,
  plan,
  draft,
  part: inHand,
  errors,
  elsewhere,
  trouble,
  clashes,
  dirty,
  missing,
  unplaced,
  closed,
} = edited
const { unreadable, load, set, commit, settled, value } = edited
const { undoes, redoes, undo, redo } = edited
void load()
// What words the sentences under the drawing is asked for with the job, not when they are drawn: they would grow under
// the hand that is about to press what stands below them.
const worded = useFirst(useChoices())
const stocked = useFirst(useOwned())
/** What the shop says of the plan was told once, or asked for in vain. */
const kitted = ref(false)
const weighed = ref(false)
/** Nothing under these lines moves away from a press: they are as long as they will be before the page is shown. */
const still = computed(() => kitted.value && weighed.value)
provideUnit(() => draft.value?.unit as 'in' | 'mm' | undefined)

/** What stands against making the part: said at the top, and beside its field until that is typed otherwise. */
const against = computed(() => plan.value?.notices.filter((one) => one.first) ?? [])
const beside = computed(() => ({
  ...Object.fromEntries(
    against.value.map((one) => [
      one.field,
      { code: one.code, field: one.field, message: one.text, choices: [] },
    ]),
  ),
  ...errors.value,
}))

const picked = ref('')
const steps = computed(() => plan.value?.operations ?? [])
const chosen = computed(
  () =>
    steps.value.find((s) => s.key === picked.value) ??
    steps.value.find((s) => s.figures.some((f) => f.key === 'crest')) ??
    steps.value[0],
)
/** The drawing of the chucking in which the chosen step is done. */
const sheet = computed(
  () => plan.value?.drawings[edited.end.value - 1] ?? plan.value?.drawings.find((s) => s),
)
watchEffect(() => {
  edited.end.value = chosen.value?.chucking ?? 1
  edited.step.value = chosen.value?.key ?? ''
})
const values = computed(() => {
  const fields = (sheet.value?.labels ?? []).map((l) => l.field).filter(Boolean)
  return Object.fromEntries(fields.map((f) => [f, value(f)]))
})
/** The metal's own fraction, as the plan worked with it. */
const fraction = computed(
  () =>
    plan.value?.blanks
      .find((b) => b.school === 'pitch-fraction')
      ?.figure.inputs.find((given) => given.name === 'fraction')?.inch,
)

/** Whether a thread is made at all. */
const threaded = computed(() => {
  const made = own.value?.part
  return (
    !!made &&
    [...made.sections.filter((one) => one.shape === 'thread'), ...(made.bores ?? [])].some(
      (one) => one.thread,
    )
  )
})
const own = computed(() => draft.value && ownOf(draft.value, inHand.value))

const choose = (next: number) =>
  void router.replace({ name: 'plan', params: { id: props.id }, query: next > 1 ? { part: next } : {} })
/** Store a changed list of parts, then look at the one named; one that is refused stays as it was. */
async function replaceOthers(others: unknown, next: number) {
  const before = draft.value?.others
  set('others', others)
  await commit()
  if (dirty.value) set('others', before)
  else choose(next)
}

/** The thread of the step on the leadscrew that is looked at: how it is geared is drawn beside it. */
const geared = computed(() => {
  const made = chosen.value?.key.startsWith('gear:') ? chosen.value.key.slice('gear:'.length) : ''
  return own.value?.part.sections.find((one) => one.id === made)?.thread ?? ''
})
/** Turn to the blank of the die's own record. */
function takeFraction(fraction: string) {
  set('method.blank_school', 'pitch-fraction')
  set('method.blank_fraction', fraction)
  void commit()
}
function move(by: number) {
  const at = steps.value.findIndex((s) => s.key === chosen.value?.key)
  picked.value = steps.value[Math.max(0, Math.min(steps.value.length - 1, at + by))]?.key ?? ''
}
// The page that comes next must find what was changed here.
onBeforeRouteLeave(() => settled())
/** A first look round: every step says why. */
const route = useRoute()
const walk = computed(() => route.query.walk === '1')
useTitle(() => job.value && `${job.value.title}, plan`)
const toBench = () =>
  job.value?.steps &&
  void router.push({ name: 'bench', params: { id: props.id }, query: walk.value ? { walk: '1' } : {} })
const main = ref<HTMLElement>()
const to = (what: string) => main.value?.querySelector<HTMLElement>(what)?.focus()
useKeys([
  { key: 's', label: 'go to the steps', run: () => to('[aria-current=step]') },
  { key: 'd', label: 'go to the drawing', run: () => to('.sheet [tabindex="0"]') },
  { key: 'j', label: 'next step', run: () => move(1) },
  { key: 'k', label: 'previous step', run: () => move(-1) },
  { key: 'b', label: 'open the bench', run: toBench },
  { key: 'z', label: 'undo the last change', run: () => void undo() },
  { key: 'Z', label: 'redo it', run: () => void redo() },
])
</script>

<template>
  <EmptyShell v-if="missing"
    >There is no job at this address. <router-link to="/">Back to Jobs</router-link></EmptyShell
  >
  <UnreadableJob v-else-if="unreadable" :id="id" :problem="unreadable" @mended="load" />
  <div v-else-if="job && plan && draft && worded && stocked" v-show="still" ref="main" class="plan">
    <PlanHead
      :job="job"
      :title="value('title')"
      :error="errors.title"
      :closed="closed"
      :planned="job.steps > 0"
      @set="set('title', $event)"
      @commit="commit"
      @bench="toBench"
    />
    <div class="parts" :class="{ alone: !draft.others?.length }">
      <PartTabs
        :document="draft"
        :part="inHand"
        :closed="closed"
        :error="errors['part.name']"
        @choose="choose"
        @name="set('part.name', $event)"
        @others="replaceOthers"
        @commit="commit"
      />
      <PartLine
        :asks="plan?.asks"
        :value="value"
        :errors="errors"
        :closed="closed"
        @set="set"
        @commit="commit"
      />
      <p class="changes">
        <span role="status" class="small muted">{{ dirty ? 'Not saved yet' : 'stored' }}</span>
        <plain-btn v-if="undoes" @click="undo">Undo: {{ undoes }} <kbd>z</kbd></plain-btn>
        <plain-btn v-if="redoes" @click="redo">Redo {{ redoes }} <kbd>Z</kbd></plain-btn>
      </p>
    </div>
    <ClashPanel :clashes="clashes" @settle="edited.settle" />
    <p v-if="trouble" class="field-error" role="alert">
      {{ trouble }} <plain-btn v-if="dirty" @click="commit">Save again</plain-btn>
    </p>
    <p v-for="told in elsewhere" :key="told" class="field-error" role="alert">{{ told }}</p>
    <p v-if="walk" class="walk" role="note">
      Read the steps from top to bottom (keys <kbd>j</kbd> and <kbd>k</kbd>). The drawing shows the cut, the
      text says why. Press a figure to see how it is worked out. Then press <b>Start at the bench</b>.
    </p>
    <p v-for="one in against" :key="one.code + one.field" class="against" aria-live="polite">
      ▲ {{ one.text }}
    </p>
    <CautionLine :cautions="plan.cautions" />
    <div class="strip">
      <PartShape
        v-if="own"
        :part="own.part"
        :plan="plan"
        :job-unit="draft.unit === 'mm' ? 'mm' : 'in'"
        :value="value"
        :errors="beside"
        :closed="closed"
        @set="set"
        @commit="commit"
      />
      <PlanKit
        :id="id"
        class="kit"
        :part="inHand"
        :revision="job.revision"
        :closed="closed"
        @set="set"
        @commit="commit"
        @first="kitted = true"
      />
      <PlanWays
        :id="id"
        class="kit"
        :part="inHand"
        :revision="job.revision"
        :pieces="plan.quantity"
        :closed="closed"
        :threaded="threaded"
        :value="value"
        :errors="errors"
        @set="set"
        @commit="commit"
        @first="weighed = true"
      />
      <FactGroups
        :value="value"
        :errors="beside"
        :closed="closed"
        :hazards="draft.hazards ?? []"
        :fraction="fraction"
        :asks="plan?.asks"
        @set="set"
        @commit="commit"
        @hazards="(set('hazards', $event), commit())"
      />
      <PlanPapers :job="job" :part="inHand" :with-job="edited.withJob" :reload="load" />
    </div>
    <div class="work">
      <PlanRun :plan="plan" :steps="steps" :chosen="chosen?.key ?? ''" @choose="picked = $event" />
      <div class="seen">
        <div class="sheet">
          <PartDrawing
            v-if="sheet"
            :sheet="sheet"
            :step="chosen?.key"
            :values="values"
            :errors="beside"
            :fixed="closed"
            @step="picked = $event"
            @edit="set"
            @commit="commit"
          />
        </div>
        <div class="told">
          <StepDetail v-if="chosen" :step="chosen" :walk="walk">
            <StepGears v-if="geared" :pitch="geared" :setup="draft.setup" />
          </StepDetail>
          <DieRecord
            :records="job.die_records"
            :closed="closed"
            :fraction="
              value('method.blank_school') === 'pitch-fraction' ? value('method.blank_fraction') : ''
            "
            @take="takeFraction"
          />
        </div>
      </div>
    </div>
  </div>
  <EmptyShell v-else-if="unplaced && !job"
    >This job has no part {{ part }}.
    <router-link :to="{ name: 'plan', params: { id } }">Open its first part</router-link></EmptyShell
  >
  <EmptyShell v-else-if="trouble">
    <span role="alert">{{ trouble }}</span> <plain-btn @click="load">Try again</plain-btn>
  </EmptyShell>
  <WaitingSign v-else what="the plan" />
  <WaitingSign v-if="plan && worded && stocked && !still" what="the plan" />
</template>

<style scoped src="./plan.css"></style>
