<script setup lang="ts">
import { computed, ref, watch } from 'vue'

import OpenLine from '@/features/plan/OpenLine.vue'
import { useWays } from '@/features/plan/useWays'
import WayRow from '@/features/plan/WayRow.vue'
import WaysChart from '@/features/plan/WaysChart.vue'
import type { FieldError, Schemas } from '@/shared/api/client'
import InlineField from '@/shared/controls/InlineField.vue'

type Way = Schemas['WayShown']
type Thread = Schemas['ChoosingShown']

/** Which way to make each thread: all of them ranked, why, and at how many pieces another is quicker. */
const props = defineProps<{
  id: number
  part: number
  revision: number
  pieces: number
  closed: boolean
  threaded: boolean
  value: (field: string) => string
  errors: Record<string, FieldError>
}>()
const emit = defineEmits<{ set: [field: string, value: string]; commit: []; first: [] }>()
const { ways, first } = useWays(() => ({ id: props.id, part: props.part, revision: props.revision }))
watch(first, (told) => told && emit('first'), { immediate: true })
const open = ref(false)
const all = ref(false)

/** The line has its place before it is known what it says: nothing under it moves away from a press. */
const sentence = computed(
  () => ways.value?.threads.map((one) => one.words).join(' · ') ?? 'comparing methods',
)
/** Those that serve, and the one that is taken; the others on wish. */
const shown = (one: Thread) =>
  all.value ? one.ways : one.ways.filter((way, at) => at < 4 || way.code === one.taken)
const differs = computed(() => ways.value?.threads.some((one) => !one.agrees) ?? false)
function take(way: Way) {
  for (const { field, value } of way.takes) emit('set', field, value)
  emit('commit')
}
function follow(one: Schemas['SchoolShown']) {
  emit('set', one.field, one.value)
  emit('commit')
}
</script>

<template>
  <OpenLine
    v-if="ways ? ways.threads.length : threaded"
    name="Methods"
    :sentence="sentence"
    :open="open"
    @toggle="open = !open"
  >
    <section
      v-for="one in ways?.threads"
      :key="one.id"
      class="thread"
      :aria-label="`Methods for ${one.thread}`"
    >
      <h3 v-if="(ways?.threads.length ?? 0) > 1">{{ one.thread }}{{ one.inside ? ', inside' : '' }}</h3>
      <p v-if="one.cheapest" class="cheapest">◆ {{ one.cheapest }}</p>
      <div class="sides">
        <ul>
          <WayRow
            v-for="way in shown(one)"
            :key="way.code"
            :way="way"
            :thread="one.thread"
            :taken="way.code === one.taken"
            :best="way === one.ways[0] && way.serves"
            :closed="closed"
            @take="take(way)"
          />
        </ul>
        <div class="chart">
          <p v-for="change in one.changes" :key="change">
            <b>{{ change }}</b>
          </p>
          <WaysChart :chart="one.chart" :taken="one.taken" :pieces="pieces" />
        </div>
      </div>
    </section>
    <plain-btn :aria-pressed="all" @click="all = !all">{{
      all ? 'Show fewer methods' : 'Show all methods, with reasons'
    }}</plain-btn>
    <InlineField
      v-if="differs || value('method.because')"
      label="Reason for this method"
      before="chosen because"
      placeholder="saved with the job"
      :model-value="value('method.because')"
      :error="errors['method.because']"
      :readonly="closed"
      @update:model-value="emit('set', 'method.because', $event)"
      @commit="emit('commit')"
    />
    <dl v-if="ways?.schools.length" class="schools">
      <template v-for="one in ways?.schools" :key="one.question">
        <dt>{{ one.question }}</dt>
        <dd>
          <b>{{ one.here }}</b>: {{ one.why }}.
          <span v-if="one.agrees" class="muted">This job does so.</span>
          <span v-else class="muted"
            >This job: {{ one.chosen }}.
            <plain-btn v-if="one.field && !closed" @click="follow(one)">Use the advice</plain-btn></span
          >
        </dd>
      </template>
    </dl>
  </OpenLine>
</template>

<style scoped>
.thread {
  padding: 4px 0 8px;
}
.sides {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 24px;
}
.chart {
  align-self: start;
}
.cheapest {
  color: var(--caution);
}
.schools {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 4px 16px;
  padding: 12px 0;
}
dt {
  color: var(--muted);
}
dd {
  margin: 0;
}
@media (max-width: 900px) {
  .sides,
  .schools {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
