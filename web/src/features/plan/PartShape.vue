<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'

import type { FieldError, JobDocument, Plan } from '@/shared/api/client'
import BoreTable from '@/features/plan/BoreTable.vue'
import OpenLine from '@/features/plan/OpenLine.vue'
import SectionTable from '@/features/plan/SectionTable.vue'
import type { Section } from '@/shared/jobs/sections'
import { useChoices } from '@/shared/api/useChoices'
import { useKeys } from '@/shared/state/useKeys'

/** What the part is made up of, under the drawing that shows it: its sections and its holes. */
const props = defineProps<{
  part: JobDocument['part']
  plan: Plan
  jobUnit: 'in' | 'mm'
  errors: Record<string, FieldError>
  value: (field: string) => string
  closed: boolean
}>()
const emit = defineEmits<{ set: [field: string, value: unknown]; commit: [] }>()
const { data: choices } = useChoices()
const opened = ref<string[]>([])
const place = ref<HTMLElement>()

const nameOf = (list: { code: string; name: string }[] | undefined, code: string) =>
  list?.find((one) => one.code === code)?.name ?? code
/** How it goes with its mate. */
const fitted = (fit: string | undefined) => (fit ? `, ${nameOf(choices.value?.fits, fit)} fit` : '')
const bores = computed(() => props.part.bores ?? [])
/** What a section is and measures, without its length. */
function sizeOf(one: Section): string {
  if (one.shape === 'thread') return one.thread ?? ''
  const name = nameOf(choices.value?.shapes, one.shape ?? '')
  return [name, one.shape === 'taper' && one.taper, one.across].filter(Boolean).join(' ')
}
/** Each section as it was typed, from the right-hand end. */
const sections = computed(() =>
  props.part.sections
    .map((one) => {
      const size = sizeOf(one)
      const fit = one.shape === 'round' ? fitted(one.fit) : ''
      return (one.length ? `${size} × ${one.length}` : size) + fit
    })
    .join(' · '),
)
const holes = computed(
  () =>
    bores.value
      .map(
        (one) =>
          [
            one.thread || [one.taper, one.across].filter(Boolean).join(' '),
            nameOf(choices.value?.mouths, one.end ?? ''),
          ].join(' ') + (one.thread ? '' : fitted(one.fit)),
      )
      .join(' · ') || 'no holes',
)
const wrong = (list: string) => Object.keys(props.errors).some((field) => field.startsWith(`part.${list}`))
const isOpen = (list: string) => opened.value.includes(list) || wrong(list)
function toggle(list: string) {
  opened.value = isOpen(list) ? opened.value.filter((one) => one !== list) : [...opened.value, list]
}
async function toFields() {
  if (!isOpen('sections')) opened.value.push('sections')
  await nextTick()
  place.value?.querySelector<HTMLElement>('li input')?.focus()
}
useKeys([{ key: 'f', label: 'edit the part', run: () => void toFields() }])
</script>

<template>
  <div ref="place" class="shape">
    <OpenLine name="Sections" :sentence="sections" :open="isOpen('sections')" @toggle="toggle('sections')">
      <SectionTable
        :key="part.id"
        :sections="part.sections"
        :plan="plan"
        :job-unit="jobUnit"
        :value="value"
        :errors="errors"
        :closed="closed"
        @set="(field, typed) => emit('set', field, typed)"
        @commit="emit('commit')"
      />
    </OpenLine>
    <OpenLine
      v-if="bores.length || !closed"
      name="Holes"
      :sentence="holes"
      :open="isOpen('bores')"
      @toggle="toggle('bores')"
    >
      <BoreTable
        :bores="bores"
        :value="value"
        :errors="errors"
        :closed="closed"
        @set="(field, typed) => emit('set', field, typed)"
        @commit="emit('commit')"
      />
    </OpenLine>
  </div>
</template>

<style scoped>
.shape {
  display: contents;
}
</style>
