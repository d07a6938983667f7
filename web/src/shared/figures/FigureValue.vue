<script setup lang="ts">
import { computed } from 'vue'

import type { Figure } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** A figure with its unit; pressing it asks for its working. */
const props = defineProps<{
  figure: Figure
  label?: string
  open?: boolean
  strong?: boolean
  prefix?: string
  /** Tells it small in the other unit too: what is dialled or measured. */
  both?: boolean
}>()
const emit = defineEmits<{ working: [] }>()
const { told, other } = useUnits()
const shown = computed(() => told(props.figure.shown))
</script>

<template>
  <span class="figure" :class="{ strong }">
    <span v-if="label" class="label">{{ label }}</span>
    <button
      type="button"
      class="value"
      :aria-expanded="open ?? false"
      :title="`Show how ${figure.name} is worked out`"
      @click="emit('working')"
    >
      <span v-if="prefix" class="unit">{{ prefix }}&nbsp;</span><span class="fig">{{ shown.text }}</span
      ><span class="unit">&nbsp;{{ shown.unit }}</span>
    </button>
    <span v-if="both && other(figure.shown)" class="fig other">{{ other(figure.shown) }}</span>
  </span>
</template>

<style scoped>
.figure {
  display: inline-grid;
  align-content: start;
}
.label {
  color: var(--muted);
  font-size: var(--s14);
}
.other {
  color: var(--muted);
  font-size: var(--s14);
}
.value {
  border: 0;
  background: none;
  padding: 0;
  text-align: left;
  cursor: pointer;
  white-space: nowrap;
}
@media (pointer: coarse) {
  .value {
    padding-block: 8px;
    margin-block: -8px;
  }
}
.value .fig {
  font-size: var(--s20);
  font-weight: 700;
  border-bottom: 1px solid transparent;
}
/* That there is a working shows when one comes near. */
.value:hover .fig,
.value:focus-visible .fig {
  border-bottom-color: var(--lagoon);
}
.strong .value .fig {
  font-size: var(--s28);
  color: var(--coral);
}
.value[aria-expanded='true'] .fig {
  border-bottom: 2px solid var(--lagoon);
}
.unit {
  font-size: var(--s14);
  color: var(--muted);
}
</style>
