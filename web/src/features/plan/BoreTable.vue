<script setup lang="ts">
import type { FieldError, Schemas } from '@/shared/api/client'
import InlineChoice from '@/shared/controls/InlineChoice.vue'
import InlineField from '@/shared/controls/InlineField.vue'
import { newId } from '@/shared/jobs/sections'
import { useChoices } from '@/shared/api/useChoices'

/** Holes along the axis and across it: threaded where a thread is named, through where no depth is. */
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
const ids = () => props.bores.map((b) => b.id ?? '')
const add = (end: Schemas['BoreIn']['end'], at: string) =>
  replace([...props.bores, { id: newId('b', ids()), end, thread: '', across: '', depth: '', at, cut: 'tap' }])
</script>

<template>
  <section class="bores" aria-label="Holes">
    <ol v-if="bores.length">
      <li v-for="(bore, at) in bores" :key="bore.id" :aria-label="`Hole ${at + 1}`">
        <span class="muted">hole</span>
        <InlineChoice
          :label="`Hole ${at + 1}, from`"
          :choices="choices?.mouths ?? []"
          v-bind="edit(at, 'end')"
        />
        <InlineField
          :label="`Hole ${at + 1}, thread`"
          before="thread"
          figure
          placeholder="none (plain hole)"
          v-bind="edit(at, 'thread')"
        />
        <InlineField
          v-if="!bore.thread"
          :label="`Hole ${at + 1}, drill`"
          :before="bore.fit ? 'bored' : 'drilled'"
          figure
          :placeholder="bore.taper ? 'from the taper name' : 'size'"
          v-bind="edit(at, 'across')"
        />
        <template v-if="!bore.thread && bore.end !== 'across'">
          <InlineChoice
            :label="`Hole ${at + 1}, fit`"
            :choices="choices?.fits ?? []"
            v-bind="edit(at, 'fit')"
          />
          <InlineChoice
            v-if="bore.fit"
            :label="`Hole ${at + 1}, finished with`"
            before="finished with a"
            :choices="choices?.finishers ?? []"
            v-bind="edit(at, 'by')"
            :model-value="value(path(at, 'by')) || 'boring-tool'"
          />
          <InlineField
            v-if="bore.fit && bore.by !== 'reamer'"
            :label="`Hole ${at + 1}, mating part measures`"
            before="mating part measures"
            figure
            placeholder="not measured"
            v-bind="edit(at, 'mate')"
          />
          <InlineField
            :label="`Hole ${at + 1}, taper`"
            before="taper"
            figure
            placeholder="no taper"
            v-bind="edit(at, 'taper')"
          />
          <InlineField
            :label="`Hole ${at + 1}, key`"
            before="key size"
            figure
            placeholder="no keyway"
            v-bind="edit(at, 'key')"
          />
        </template>
        <InlineChoice
          v-if="bore.thread"
          :label="`Hole ${at + 1}, thread cut with`"
          before="cut with"
          :choices="choices?.cutters ?? []"
          v-bind="edit(at, 'cut')"
        />
        <InlineField
          v-if="bore.end === 'across'"
          :label="`Hole ${at + 1}, distance from the right-hand end`"
          before="distance from the right end"
          figure
          placeholder="distance"
          v-bind="edit(at, 'at')"
        />
        <InlineField
          v-if="bore.end === 'across'"
          :label="`Hole ${at + 1}, position round the part`"
          before="position round the part"
          long
          placeholder="anywhere"
          v-bind="edit(at, 'around')"
        />
        <InlineField
          :label="`Hole ${at + 1}, depth`"
          before="depth"
          figure
          placeholder="through hole"
          v-bind="edit(at, 'depth')"
        />
        <InlineField
          v-if="!bore.thread && bore.end !== 'across' && bore.depth"
          :label="`Hole ${at + 1}, undercut`"
          before="undercut width"
          figure
          placeholder="no undercut"
          v-bind="edit(at, 'undercut')"
        />
        <InlineField
          v-if="bore.end === 'across' && bore.depth"
          :label="`Hole ${at + 1}, number round the part`"
          before="number round the part"
          figure
          placeholder="1"
          v-bind="edit(at, 'count')"
        />
        <plain-btn
          v-if="!closed"
          :aria-label="`Remove hole ${at + 1}`"
          @click="replace(bores.filter((_, n) => n !== at))"
        >
          ✕
        </plain-btn>
      </li>
    </ol>
    <p v-if="!closed" class="add">
      <plain-btn @click="add('right', '')">Add a hole on the axis</plain-btn>
      <plain-btn @click="add('across', '')">Add a cross hole</plain-btn>
    </p>
  </section>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
</style>
