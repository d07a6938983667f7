<script setup lang="ts">
import type { FieldError, Schemas } from '@/api/client'
import InlineChoice from '@/components/InlineChoice.vue'
import InlineField from '@/components/InlineField.vue'
import { useChoices } from '@/composables/useChoices'

/** Holes along the axis: tapped where a thread is named, through where no depth is. */
const props = defineProps<{
  bores: Schemas['BoreIn'][]
  errors: Record<string, FieldError>
  value: (field: string) => string
  closed: boolean
}>()
const emit = defineEmits<{ set: [field: string, value: unknown]; commit: [] }>()
const { data: choices } = useChoices()
const path = (at: number, field: string) => `part.bores.${at}.${field}`
const edit = (at: number, field: string) => ({
  modelValue: props.value(path(at, field)),
  error: props.errors[path(at, field)],
  readonly: props.closed,
  'onUpdate:modelValue': (typed: string) => emit('set', path(at, field), typed),
  onCommit: () => emit('commit'),
})
function replace(bores: Schemas['BoreIn'][]) {
  emit('set', 'part.bores', bores)
  emit('commit')
}
const add = () => replace([...props.bores, { end: 'right', thread: '', across: '', depth: '' }])
</script>

<template>
  <section class="bores" aria-label="Holes along the axis">
    <ol v-if="bores.length">
      <li v-for="(bore, at) in bores" :key="at" :aria-label="`Hole ${at + 1}`">
        <span class="muted">hole</span>
        <InlineChoice
          :label="`Hole ${at + 1}, from`"
          before="from the"
          :choices="choices?.ends ?? []"
          v-bind="edit(at, 'end')"
        />
        <InlineField
          :label="`Hole ${at + 1}, thread`"
          before="tapped"
          figure
          placeholder="plain"
          v-bind="edit(at, 'thread')"
        />
        <InlineField
          v-if="!bore.thread"
          :label="`Hole ${at + 1}, drill`"
          before="drilled"
          figure
          placeholder="size"
          v-bind="edit(at, 'across')"
        />
        <InlineField
          :label="`Hole ${at + 1}, depth`"
          before="deep"
          figure
          placeholder="through"
          v-bind="edit(at, 'depth')"
        />
        <button
          v-if="!closed"
          type="button"
          class="plain"
          :aria-label="`Take hole ${at + 1} out`"
          @click="replace(bores.filter((_, n) => n !== at))"
        >
          ✕
        </button>
      </li>
    </ol>
    <button v-if="!closed" type="button" class="plain" @click="add">Add a hole along the axis</button>
  </section>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: baseline;
  padding: 3px 0;
  border-bottom: 1px solid var(--line);
}
</style>
