<script setup lang="ts">
import { computed } from 'vue'

import { ask, client, type Shown, type Unit } from '@/shared/api/client'
import { useLive } from '@/shared/api/useLive'
import { useUnits } from '@/shared/figures/useUnits'

/** What a reading off a worn part was probably meant to be; one of them may be taken. */
const props = defineProps<{ reading: string; unit: Unit; of: 'across' | 'length' }>()
defineEmits<{ take: [size: string] }>()
const { told } = useUnits()
const { found } = useLive(
  () => (props.reading.trim() ? { reading: props.reading, unit: props.unit, of: props.of } : null),
  (query) => ask(client.GET('/api/sample', { params: { query } })),
)
/** None where the reading is a size already. */
const offered = computed(() => {
  const near = found.value ?? []
  return near.some((one) => Number(one.under.inch.text) === 0) ? [] : near.slice(0, 3)
})
/** How far the reading lies from a size, in words: a true minus sign means over. */
function off(under: Shown): string {
  const { text } = told(under)
  return text.startsWith('−') ? `${text.slice(1)} over` : `${text} under`
}
</script>

<template>
  <p v-if="offered.length" class="meant small">
    meant to be
    <button
      v-for="one in offered"
      :key="one.typed"
      type="button"
      class="plain"
      @click="$emit('take', one.typed)"
    >
      <span class="fig">{{ one.typed }}</span> <span class="muted">({{ off(one.under) }})</span>
    </button>
  </p>
</template>

<style scoped>
.meant {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: baseline;
  padding: 2px 4px 0;
}
</style>
