<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import FigureRow from '@/shared/figures/FigureRow.vue'

/** What the log says of the blank for a die, once pieces were gauged; taken over by a press. */
defineProps<{ records: Schemas['DieRecordShown'][]; closed: boolean; fraction: string }>()
const emit = defineEmits<{ take: [fraction: string] }>()
</script>

<template>
  <div v-for="record in records" :key="record.thread" class="record">
    <p>
      ◇ Your {{ record.thread }} die in this material: {{ record.pieces }}
      {{ record.pieces === 1 ? 'piece' : 'pieces' }} passed.
      <plain-btn v-if="!closed && record.fraction !== fraction" @click="emit('take', record.fraction)">
        Use this blank diameter
      </plain-btn>
    </p>
    <FigureRow :figures="[{ label: 'average blank diameter', figure: record.blank }]" />
  </div>
</template>

<style scoped>
.record {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  align-items: baseline;
  color: var(--lagoon);
}
</style>
