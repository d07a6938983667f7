<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'

import { ask, asProblem, client, type FieldError } from '@/shared/api/client'
import InlineChoice from '@/shared/controls/InlineChoice.vue'
import InlineField from '@/shared/controls/InlineField.vue'
import DieStory from '@/shared/jobs/DieStory.vue'
import ShopServes from '@/shared/jobs/ShopServes.vue'
import DieLine from '@/features/shop/DieLine.vue'
import ThingPhoto from '@/features/shop/ThingPhoto.vue'
import { type Thing, useKinds } from '@/features/shop/useKit'
import { useChoices } from '@/shared/api/useChoices'
import { useMe } from '@/shared/api/useMe'

/** A thing in full: how it is, what it did in the log; what is known of it is open where there is nothing else. */
const props = defineProps<{
  thing: Thing
  change: (said: Record<string, string>) => Promise<unknown>
}>()
const emit = defineEmits<{ retire: []; changed: [] }>()
const { data: choices } = useChoices()
const { data: kinds } = useKinds()
const fields = computed(() => kinds.value?.find((one) => one.kind === props.thing.kind)?.fields ?? [])
/** What is said of any thing: its field, its label, what stands where nobody said. */
const ABOUT = [
  ['shop', 'Shop (if you have more than one)', 'main shop'],
  ['place', 'Place', 'not given'],
  ['notes', 'Notes', 'none'],
] as const
const typed = ref<Record<string, string>>({})
const errors = ref<Record<string, FieldError>>({})
const trouble = ref('')
const value = (field: string) => typed.value[field] ?? props.thing.said[field] ?? ''
/** What was typed stays until it is stored. */
async function say(said: Record<string, string> = typed.value) {
  if (!Object.keys(said).length) return
  try {
    await props.change(said)
    typed.value = {}
    errors.value = {}
    trouble.value = ''
  } catch (failed) {
    const problem = asProblem(failed)
    errors.value = Object.fromEntries(problem.errors.map((one) => [one.field, one]))
    trouble.value = problem.errors.length ? '' : problem.message
  }
}
/** What its gears are asked with. */
const geared = computed(() => {
  const said = ['leadscrew', 'gears', 'dial_teeth', 'dial_lines'].map((field) => [field, value(field)])
  return Object.fromEntries(said.filter(([, text]) => text))
})
const { data: own } = useQuery({
  queryKey: computed(() => ['dies', 'own', props.thing.id]),
  queryFn: () => ask(client.GET('/api/log/dies', { params: { query: { die: props.thing.id } } })),
  enabled: () => ['die', 'tap'].includes(props.thing.kind),
})
/** Where this one has no story yet, that of any die of its thread. */
const { data: dies } = useQuery({
  queryKey: computed(() => ['dies', props.thing.thread]),
  queryFn: () => ask(client.GET('/api/log/dies', { params: { query: { thread: props.thing.thread } } })),
  enabled: () => props.thing.kind === 'die' && own.value?.length === 0,
})
/** It has nothing to tell but what is known of it. */
const plain = computed(
  () =>
    !['die', 'tap'].includes(props.thing.kind) ||
    (own.value?.length === 0 && (props.thing.kind === 'tap' || dies.value?.length === 0)),
)
const { data: jobs } = useQuery({
  queryKey: computed(() => ['lathe', props.thing.id]),
  queryFn: () => ask(client.GET('/api/log/lathes', { params: { query: { lathe: props.thing.id } } })),
  enabled: () => props.thing.kind === 'lathe',
})
const { looksOnly } = useMe()
</script>

<template>
  <article class="page" :aria-label="thing.name">
    <h2>{{ thing.name }}</h2>
    <p v-if="thing.thread">
      <router-link :to="{ name: 'threads', query: { q: thing.thread } }">Open the thread page</router-link>
    </p>
    <p v-if="thing.kind === 'lathe'">
      <router-link :to="{ name: 'gears', query: geared }">Change gears for this lathe</router-link>
    </p>
    <v-select
      class="state"
      label="Condition"
      :items="choices?.states ?? []"
      item-title="name"
      item-value="code"
      :item-props="(one: { remark: string }) => ({ subtitle: one.remark })"
      :model-value="thing.state"
      :readonly="looksOnly"
      @update:model-value="say({ ...typed, state: String($event) })"
    />
    <template v-if="own?.length">
      <DieLine :die="thing.id" />
      <h3>Last results</h3>
      <DieStory :dies="own" with-job />
    </template>
    <template v-else-if="dies?.length">
      <h3>Last results with other dies of this thread</h3>
      <DieStory :dies="dies" with-job />
    </template>
    <ShopServes
      v-if="thing.thread && ['die', 'tap'].includes(thing.kind)"
      :thread="thing.thread"
      :but="thing.id"
    />
    <details class="known" :open="plain">
      <summary>What is known of it</summary>
      <dl class="said">
        <template v-for="field in fields" :key="field.field">
          <dt class="muted">{{ field.label }}</dt>
          <dd>
            <InlineChoice
              v-if="field.choices.length"
              :label="field.label"
              :choices="field.choices"
              :model-value="value(field.field)"
              :error="errors[field.field]"
              :readonly="looksOnly"
              @update:model-value="say({ ...typed, [field.field]: $event })"
            />
            <InlineField
              v-else
              :label="field.label"
              placeholder="not given"
              figure
              :long="field.long"
              :model-value="value(field.field)"
              :error="errors[field.field]"
              :readonly="looksOnly"
              @update:model-value="typed[field.field] = $event"
              @commit="say()"
            />
          </dd>
        </template>
        <template v-for="[field, label, without] in ABOUT" :key="field">
          <dt class="muted">{{ label }}</dt>
          <dd>
            <InlineField
              :label="label"
              :placeholder="without"
              :long="field === 'notes'"
              :model-value="typed[field] ?? thing[field]"
              :error="errors[field]"
              :readonly="looksOnly"
              @update:model-value="typed[field] = $event"
              @commit="say()"
            />
          </dd>
        </template>
      </dl>
    </details>
    <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
    <template v-if="jobs?.length">
      <h3>Last jobs on this lathe</h3>
      <ul>
        <li v-for="job in jobs" :key="job.id">
          <router-link :to="{ name: 'plan', params: { id: job.id } }">{{ job.title }}</router-link>
          <span class="muted small">, {{ job.material }}, {{ job.good }} of {{ job.quantity }} made</span>
        </li>
      </ul>
    </template>
    <ThingPhoto :thing="thing" @changed="emit('changed')" />
    <plain-btn v-if="!looksOnly" class="out" @click="emit('retire')">Remove from the shop</plain-btn>
  </article>
</template>

<style scoped>
.page {
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
  padding: 16px 24px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
.page > * {
  max-width: 100%;
}
h2 {
  font-size: var(--s28);
}
h3 {
  font-size: var(--s16);
}
.said {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 4px 16px;
  align-items: baseline;
  width: 100%;
}
.known {
  width: 100%;
}
.known[open] summary {
  margin-bottom: 8px;
}
.state {
  min-width: 220px;
}
@media (max-width: 500px) {
  .said {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
</style>
