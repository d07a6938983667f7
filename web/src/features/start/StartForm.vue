<script setup lang="ts">
import { computed, nextTick, onMounted, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { VBtnToggle } from 'vuetify/components/VBtnToggle'

import InForce from '@/features/start/InForce.vue'
import SizeMeant from '@/features/start/SizeMeant.vue'
import type { Ask, Beginning, useStart } from '@/features/start/useStart'
import { useChoices } from '@/shared/api/useChoices'
import { provideUnit } from '@/shared/figures/useUnits'
import type { Unit } from '@/shared/api/client'
import ChoiceList from '@/shared/controls/ChoiceList.vue'
import PartDrawing from '@/shared/drawing/PartDrawing.vue'
import BusyButton from '@/shared/controls/BusyButton.vue'
import FittersOnly from '@/shared/controls/FittersOnly.vue'

/** The few facts of a beginning, beside the part as they describe it. */
const props = defineProps<{ beginning: Beginning; job: ReturnType<typeof useStart>; walk?: boolean }>()
defineEmits<{ close: [] }>()
const router = useRouter()
const { data: choices } = useChoices()
const form = useTemplateRef<HTMLFormElement>('form')

const { kept, unit, sketch, busy, trouble, refused, focused } = props.job
provideUnit(() => unit.value)
const measures = (ask: Ask) => ask.kind === 'across' || ask.kind === 'along'
const label = (ask: Ask) => (measures(ask) ? `${ask.label}, ${unit.value}` : ask.label)
const example = (ask: Ask) => {
  const [said, too] = unit.value === 'in' ? [ask.inch, ask.inch_too] : [ask.mm, ask.mm_too]
  // Two ways to type it need no more words, and have no room for them.
  return ask.empty || (too ? `${said} or ${too}` : `e.g. ${said}`)
}
/** A screw's length typed behind its thread: whose it is, only the person knows. */
const WHOSE = { threaded: 'the thread', overall: 'the whole screw' } as const
const behind = computed(() =>
  sketch.value?.length
    ? props.beginning.asks.flatMap(({ field }) =>
        field === 'threaded' || field === 'overall' ? [{ field, words: WHOSE[field] }] : [],
      )
    : [],
)
function takeLength(field: 'threaded' | 'overall') {
  if (!sketch.value) return
  props.job.type(field, sketch.value.length)
  props.job.type('thread', sketch.value.thread)
}
/** What is wrong with fields that this form does not show. */
const elsewhere = computed(() => {
  const own = new Set<string>(props.beginning.asks.map((ask) => ask.field))
  return Object.values(refused.value).filter((one) => !own.has(one.field))
})

/** The cursor goes to the first field that is empty; who goes from shape to shape by keys stays among them. */
async function point() {
  await nextTick()
  if (document.querySelector('[role=radio]:focus-visible')) return
  const fields = [...(form.value?.querySelectorAll<HTMLInputElement>('.asks input') ?? [])]
  ;(fields.find((field) => !field.value) ?? fields[0])?.focus()
}
onMounted(point)
watch(() => props.beginning.code, point)

async function submit() {
  const id = await props.job.start()
  if (id !== null) {
    await router.push({ name: 'plan', params: { id }, query: props.walk ? { walk: '1' } : {} })
    return
  }
  await nextTick()
  form.value?.querySelector<HTMLInputElement>('.v-input--error input')?.focus()
}
</script>

<template>
  <form ref="form" class="start" aria-label="New job" novalidate @submit.prevent="submit">
    <div class="facts">
      <p class="muted small">{{ beginning.remark }}</p>
      <div class="asks">
        <div
          v-for="ask in beginning.asks"
          :key="ask.field"
          :class="{ wide: ask.kind === 'words' || job.error(ask.field)?.choices.length }"
        >
          <v-text-field
            :model-value="kept.sizes[ask.field] ?? ''"
            :label="label(ask)"
            :placeholder="example(ask)"
            persistent-placeholder
            :error-messages="job.error(ask.field)?.message"
            autocomplete="off"
            :class="{ figures: ask.kind !== 'words' }"
            @update:model-value="job.type(ask.field, String($event))"
            @focus="focused = ask.field"
            @blur="focused = ''"
          />
          <ChoiceList
            compact
            :choices="job.error(ask.field)?.choices ?? []"
            @take="(choice) => job.type(ask.field, choice)"
          />
          <SizeMeant
            v-if="beginning.reads && measures(ask) && ask.field !== 'overall'"
            :reading="kept.sizes[ask.field] ?? ''"
            :unit="unit"
            :of="ask.kind === 'along' ? 'length' : 'across'"
            @take="(size) => job.decide(ask.field, size)"
          />
        </div>
      </div>
      <p v-if="behind.length" class="small">
        {{ sketch?.length }} behind the thread is the length of
        <template v-for="(one, n) in behind" :key="one.field">
          {{ n ? 'or' : '' }}
          <plain-btn @click="takeLength(one.field)">
            {{ one.words }}
          </plain-btn> </template
        >?
      </p>
      <div class="unit">
        <span id="unit-of-job" class="small muted">Numbers without a unit are in</span>
        <v-btn-toggle
          density="compact"
          color="primary"
          variant="outlined"
          aria-labelledby="unit-of-job"
          :model-value="unit"
          mandatory
          @update:model-value="(to: Unit) => (kept.unit = to)"
        >
          <v-btn value="in" size="small">in</v-btn>
          <v-btn value="mm" size="small">mm</v-btn>
        </v-btn-toggle>
      </div>
      <InForce
        v-if="choices"
        :choices="choices"
        :material="kept.material"
        :method="job.method.value"
        :setup="job.setup.value"
        :shoulder="beginning.shoulder"
        :unit="unit"
        @material="kept.material = $event"
        @method="(field, value) => (kept.method[field] = value)"
        @setup="(field, value) => (kept.setup[field] = value)"
      />
      <p v-for="one in elsewhere" :key="one.field + one.message" class="field-error" role="alert">
        {{ one.message }}
      </p>
      <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
      <p class="act">
        <FittersOnly>
          <BusyButton type="submit" color="secondary" size="large" :busy="busy">Show the plan</BusyButton>
        </FittersOnly>
        <plain-btn @click="$emit('close')">Cancel</plain-btn>
      </p>
    </div>
    <figure class="sheet">
      <PartDrawing v-if="sketch?.drawing" :sheet="sketch.drawing" fixed />
      <p v-else-if="sketch" class="muted">
        The drawing appears when the sizes agree. {{ sketch.errors[0]?.message }}
      </p>
      <figcaption v-for="remark in sketch?.remarks" :key="remark" class="small">◆ {{ remark }}</figcaption>
    </figure>
  </form>
</template>

<style scoped>
.start {
  display: grid;
  grid-template-columns: minmax(0, 400px) minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}
.facts {
  display: grid;
  gap: 12px;
}
.asks {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 12px;
}
.wide {
  grid-column: span 2;
}
.unit {
  display: flex;
  gap: 8px;
  align-items: center;
}
.act {
  display: flex;
  gap: 16px;
  align-items: center;
  position: sticky;
  bottom: 0;
  z-index: 2;
  padding: 8px 0;
  background: var(--ground);
}
.sheet {
  margin: 0;
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
  padding: 12px;
  position: sticky;
  top: 12px;
}
.asks :deep(.figures input) {
  font-family: var(--figures);
}
@media (max-width: 900px) {
  .start {
    grid-template-columns: minmax(0, 1fr);
  }
  .sheet {
    order: -1;
    position: static;
  }
  /* The fields stay in sight under it. */
  .sheet :deep(svg) {
    max-height: 240px;
  }
  /* Over the places of the program, which stand at the bottom here. */
  .act {
    bottom: 62px;
  }
}
@media (max-width: 480px) {
  .sheet {
    padding: 4px;
  }
  .sheet :deep(svg) {
    max-height: 150px;
  }
  .asks {
    grid-template-columns: minmax(0, 1fr);
  }
  .wide {
    grid-column: auto;
  }
}
</style>
