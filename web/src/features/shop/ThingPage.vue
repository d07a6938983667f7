<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'

import { ask, asProblem, client, type FieldError } from '@/shared/api/client'
import InlineField from '@/shared/controls/InlineField.vue'
import DieStory from '@/shared/jobs/DieStory.vue'
import type { Thing } from '@/features/shop/useKit'
import { useChoices } from '@/shared/api/useChoices'

/** A thing in full: what it is, where it lies, how it is, what its thread did in the log. */
const props = defineProps<{
  thing: Thing
  change: (said: Record<string, string>) => Promise<unknown>
}>()
const emit = defineEmits<{ retire: [] }>()
const { data: choices } = useChoices()
const typed = ref<Record<string, string>>({})
const errors = ref<Record<string, FieldError>>({})
const trouble = ref('')
const value = (field: 'size' | 'thick' | 'place' | 'notes') => typed.value[field] ?? props.thing[field]
/** What was typed stays until it is stored. */
async function say(said: Record<string, string> = typed.value) {
  if (!Object.keys(said).length) return
  try {
    const { size, ...rest } = said
    const across = props.thing.kind === 'die' ? 'across' : 'size'
    await props.change(size === undefined ? rest : { ...rest, [across]: size })
    typed.value = {}
    errors.value = {}
    trouble.value = ''
  } catch (failed) {
    const problem = asProblem(failed)
    errors.value = Object.fromEntries(
      problem.errors.map((one) => [one.field === 'across' ? 'size' : one.field, one]),
    )
    trouble.value = problem.errors.length ? '' : problem.message
  }
}
const { data: dies } = useQuery({
  queryKey: computed(() => ['dies', props.thing.thread]),
  queryFn: () => ask(client.GET('/api/log/dies', { params: { query: { thread: props.thing.thread } } })),
  enabled: () => props.thing.kind === 'die',
})
</script>

<template>
  <article class="page" :aria-label="thing.name">
    <h2>{{ thing.name }}</h2>
    <p v-if="thing.thread">
      <router-link :to="{ name: 'threads', query: { q: thing.thread } }">Its thread in the book</router-link>
    </p>
    <p class="line">
      <v-select
        class="state"
        label="State"
        :items="choices?.states ?? []"
        item-title="name"
        item-value="code"
        :item-props="(one: { remark: string }) => ({ subtitle: one.remark })"
        :model-value="thing.state"
        @update:model-value="say({ ...typed, state: String($event) })"
      />
    </p>
    <p class="line">
      <InlineField
        v-for="field in thing.kind === 'die' ? (['size', 'thick'] as const) : []"
        :key="field"
        :label="field === 'size' ? 'Outside diameter' : 'Thickness'"
        :before="field === 'size' ? 'across' : 'thick'"
        placeholder="not measured"
        figure
        :model-value="value(field)"
        :error="errors[field]"
        @update:model-value="typed[field] = $event"
        @commit="say()"
      />
      <InlineField
        label="Place"
        before="lies in"
        placeholder="nobody said"
        :model-value="value('place')"
        :error="errors.place"
        @update:model-value="typed.place = $event"
        @commit="say()"
      />
      <InlineField
        label="Notes"
        before="notes"
        placeholder="none"
        long
        :model-value="value('notes')"
        :error="errors.notes"
        @update:model-value="typed.notes = $event"
        @commit="say()"
      />
    </p>
    <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
    <template v-if="dies?.length">
      <h3>What dies of this thread did last</h3>
      <DieStory :dies="dies" with-job />
    </template>
    <plain-btn class="out" @click="emit('retire')">Take it out of the shop</plain-btn>
  </article>
</template>

<style scoped>
.page {
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
  padding: 18px 22px;
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
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
  align-items: baseline;
}
.state {
  min-width: 220px;
}
</style>
