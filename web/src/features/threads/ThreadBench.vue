<script setup lang="ts">
import { computed } from 'vue'

import type { FieldError, Schemas } from '@/shared/api/client'
import DrillList from '@/shared/figures/DrillList.vue'
import FigureRow from '@/shared/figures/FigureRow.vue'
import InlineField from '@/shared/controls/InlineField.vue'
import { groupsOf } from '@/features/threads/threadGroups'
import type { CardQuery } from '@/features/threads/useCard'

/** What the shop turns, drills and measures for this thread, with the wire, drill and plating it has. */
const props = defineProps<{
  card: Schemas['CardShown']
  query: CardQuery
  errors: FieldError[]
  /** Only what is turned and drilled, which is asked for first; else all the rest. */
  first?: boolean
}>()
const emit = defineEmits<{ change: [field: keyof CardQuery, value: string] }>()
const error = (field: string) => props.errors.find((e) => e.field === field)

const groups = computed(() => groupsOf(props.card).filter((group) => (group.first ?? false) === props.first))
</script>

<template>
  <div class="bench">
    <section v-for="group in groups" :key="group.title" :aria-label="group.title">
      <h2>{{ group.title }}</h2>
      <DrillList v-if="group.drills" :drills="group.drills" />
      <p v-if="group.field">
        <InlineField
          :label="`${group.title}: ${group.before}`"
          :model-value="query[group.field]"
          :before="group.before"
          :placeholder="group.hint"
          :error="error(group.field)"
          figure
          @update:model-value="emit('change', group.field, $event)"
        />
      </p>
      <p v-if="group.note" class="small">{{ group.note }}</p>
      <FigureRow :figures="group.figures" />
    </section>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(360px, 100%), 1fr));
  gap: 16px 48px;
  align-items: start;
}
section {
  display: grid;
  gap: 4px;
}
h2 {
  font-size: var(--s16);
  border-bottom: 2px solid var(--line);
}
@media print {
  section:not(:has(.row > *)) {
    display: none;
  }
}
</style>
