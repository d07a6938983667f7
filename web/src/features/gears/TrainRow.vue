<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { named } from '@/shared/figures/labelled'

/** A train: its wheels, whether it is exact, what it is off; a press draws it. */
defineProps<{ train: Schemas['TrainShown']; chosen: boolean }>()
const emit = defineEmits<{ choose: [] }>()
</script>

<template>
  <li :class="{ chosen }">
    <button type="button" class="words" :aria-pressed="chosen" @click="emit('choose')">
      <template v-if="train.box"
        ><span class="muted">gearbox at </span><span class="fig">{{ train.box }}</span
        ><span v-if="train.drivers.length" class="muted">, </span></template
      >
      <template v-if="train.drivers.length">
        <span class="muted">drivers </span><span class="fig">{{ train.drivers.join(' × ') }}</span>
        <span class="muted">, driven </span>
        <span class="fig">{{ train.driven.join(' × ') }}</span>
      </template>
      <small class="muted">{{ train.words }}</small>
    </button>
    <span v-if="train.exact" class="exact">✓ exact</span>
    <FigureRow v-else class="off" :figures="train.errors.map(named)" />
    <span v-if="!train.meshes" class="field-error">✗ Does not fit: a gear hits a shaft</span>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 384px;
  gap: 4px 16px;
  align-items: center;
  padding: 8px 0 8px 12px;
  border-bottom: 1px solid var(--line);
  border-left: 3px solid transparent;
}
.chosen {
  border-left-color: var(--lagoon);
}
.words {
  display: block;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}
.words .fig {
  white-space: nowrap;
  font-size: var(--s20);
  font-weight: 700;
}
small {
  display: block;
}
.exact {
  color: var(--lagoon);
  font-weight: 700;
}
.off {
  --block: 112px;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
