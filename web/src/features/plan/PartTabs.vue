<script setup lang="ts">
import { computed } from 'vue'

import type { FieldError, JobDocument } from '@/shared/api/client'
import InlineField from '@/shared/controls/InlineField.vue'
import { newId } from '@/shared/jobs/sections'
import { namesOf, ownOf } from '@/features/plan/parts'

/** The parts of a job in the order they are made; the one in hand can be named, copied, taken out. */
const props = defineProps<{
  document: JobDocument
  part: number
  closed: boolean
  error?: FieldError
}>()
const emit = defineEmits<{
  choose: [part: number]
  name: [string]
  others: [JobDocument['others'], part: number]
  commit: []
}>()
const MOST = 6
const names = computed(() => namesOf(props.document))
const others = () => props.document.others ?? []

/** A further part starts as a copy of the one in hand: metal, bar and method are seldom far off. */
function add() {
  const { quantity, material, method, part } = ownOf(props.document, props.part)
  const name = `part ${names.value.length + 1}`
  const ids = [props.document.part.id ?? '', ...others().map((one) => one.part.id ?? '')]
  const copy = JSON.parse(
    JSON.stringify({ fits: '', quantity, material, method, part: { ...part, id: newId('p', ids), name } }),
  ) as NonNullable<JobDocument['others']>[number]
  emit('others', [...others(), copy], names.value.length + 1)
}
const drop = () =>
  emit(
    'others',
    others().filter((_, n) => n !== props.part - 2),
    props.part - 1,
  )
</script>

<template>
  <nav class="tabs" aria-label="Parts of this job">
    <template v-if="names.length > 1">
      <template v-for="(name, n) in names" :key="n">
        <span v-if="n + 1 === part" class="one here" aria-current="page">
          <span class="fig n">{{ n + 1 }}</span>
          <InlineField
            label="Part name"
            :model-value="document.others && part > 1 ? name : (document.part.name ?? '')"
            placeholder="name"
            :error="error"
            :readonly="closed"
            @update:model-value="emit('name', $event)"
            @commit="emit('commit')"
          />
        </span>
        <button v-else type="button" class="one" @click="emit('choose', n + 1)">
          <span class="fig n">{{ n + 1 }}</span> {{ name }}
        </button>
      </template>
    </template>
    <plain-btn v-if="!closed && names.length < MOST" @click="add"> Add a part </plain-btn>
    <plain-btn v-if="!closed && part > 1" @click="drop">Remove this part</plain-btn>
  </nav>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
}
.one {
  font: inherit;
  color: var(--muted);
  background: none;
  border: 0;
  border-bottom: 4px solid var(--line);
  padding: 4px 16px 4px 4px;
  cursor: pointer;
  min-width: 96px;
  text-align: left;
}
button.one:hover {
  color: var(--lagoon);
  border-bottom-color: var(--lagoon);
}
.here {
  color: var(--ink);
  font-weight: 700;
  border-bottom-color: var(--lagoon);
  cursor: default;
}
.n {
  margin-right: 4px;
}
</style>
