<script setup lang="ts">
import { computed } from 'vue'

import type { Unit } from '@/shared/api/client'
import { useNominals } from '@/shared/figures/useNominals'

/** What a reading off a worn part was probably probably meant:; one of them may be taken. */
const props = defineProps<{ reading: string; unit: Unit; of: 'across' | 'length' }>()
defineEmits<{ take: [size: string] }>()
const { nominals, off } = useNominals(() => ({ reading: props.reading, unit: props.unit, of: props.of }))
/** None where the reading is a size already. */
const offered = computed(() =>
  nominals.value.some((one) => Number(one.under.inch.text) === 0) ? [] : nominals.value.slice(0, 3),
)
</script>

<template>
  <p v-if="offered.length" class="meant small">
    probably meant:
    <plain-btn v-for="one in offered" :key="one.typed" @click="$emit('take', one.typed)">
      <span class="fig">{{ one.typed }}</span> <span class="muted">({{ off(one.under) }})</span>
    </plain-btn>
  </p>
</template>

<style scoped>
.meant {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: baseline;
  padding: 4px 4px 0;
}
</style>
