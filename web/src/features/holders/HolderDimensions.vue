<script setup lang="ts">
import { ref } from 'vue'

import type { Problem, Schemas } from '@/shared/api/client'
import InlineField from '@/shared/controls/InlineField.vue'
import FigureValue from '@/shared/figures/FigureValue.vue'
import WorkingPanel from '@/shared/figures/WorkingPanel.vue'

/** The dimensions of a holder, each with its reason; those that the rest follows from may be set otherwise. */
defineProps<{ dimensions: Schemas['DimensionedShown'][]; problem: Problem | null }>()
const own = defineModel<Record<string, string>>({ required: true })
const asked = ref('')
const set = (field: string, size: string) => (own.value = { ...own.value, [field]: size })
</script>

<template>
  <ol class="dimensions" aria-label="Dimensions">
    <li v-for="one in dimensions" :key="one.figure.name">
      <FigureValue
        :figure="one.figure"
        :label="one.figure.name"
        both
        :open="asked === one.figure.name"
        @working="asked = asked === one.figure.name ? '' : one.figure.name"
      />
      <span class="why"
        >{{ one.why }}
        <span v-if="one.figure.note" class="muted">{{ one.figure.note }}</span>
      </span>
      <InlineField
        v-if="one.field"
        :label="`Your own ${one.figure.name}`"
        before="or your own"
        figure
        placeholder="as designed"
        :model-value="own[one.field] ?? ''"
        :error="problem?.of(`own.${one.field}`)"
        @update:model-value="set(one.field, $event)"
      />
      <WorkingPanel v-if="asked === one.figure.name" class="working" :figure="one.figure" />
    </li>
  </ol>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 4px 24px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
/* What one sets oneself stands under the reason. */
li > :nth-child(3):not(.working) {
  grid-column: 2;
}
.working {
  grid-column: 1 / -1;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
  li > :nth-child(3):not(.working) {
    grid-column: 1;
  }
}
</style>
