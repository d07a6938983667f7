<script setup lang="ts">
import { ref } from 'vue'

import type { Problem, Schemas } from '@/shared/api/client'
import DialledField from '@/features/bench/DialledField.vue'
import type { SizeNow } from '@/features/bench/projected'
import { useUnits } from '@/shared/figures/useUnits'

/** The next reading of a size, and what was dialled before it. */
const typed = defineModel<string>('typed', { required: true })
const dialled = defineModel<string>('dialled', { required: true })
defineProps<{
  size: SizeNow
  dimension: Schemas['DimensionShown']
  drives: boolean
  problem?: Problem | null
}>()
const { unit } = useUnits()
const field = ref<HTMLInputElement>()
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <div class="said">
    <label class="reading" :class="{ wrong: problem?.of('reading') }">
      <span class="sr"
        >New reading, {{ dimension.name }}, {{ unit === 'in' ? 'inches' : 'millimetres' }}</span
      >
      <input
        ref="field"
        v-model="typed"
        class="fig"
        data-keys="empty"
        inputmode="decimal"
        :placeholder="drives ? 'new reading' : dimension.name"
        autocomplete="off"
        maxlength="60"
        :aria-invalid="problem?.of('reading') !== undefined"
        @keydown.enter="typed.trim() || $event.preventDefault()"
      />
      <span class="muted">{{ unit }}</span>
    </label>
    <DialledField
      v-if="size.readings.length && size.cut?.dial"
      v-model="dialled"
      :asked="size.cut.dial"
      :error="problem?.of('dialled')"
    />
  </div>
</template>

<style scoped>
.said {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
}
.reading {
  flex: 1 1 280px;
  min-width: 0;
  display: flex;
  align-items: center;
  border: 3px solid var(--lagoon);
  border-radius: var(--round);
  background: var(--surface);
  padding: 0 18px;
  font-size: var(--s28);
}
.reading.wrong {
  border-color: var(--stop);
}
.reading input {
  flex: 1;
  min-width: 0;
  border: 0;
  outline: none;
  background: none;
  color: inherit;
  font-size: var(--s44);
  padding: 8px 0;
  font-family: var(--figures);
}
.reading input::placeholder {
  color: var(--muted);
  opacity: 1;
  font-size: var(--s28);
}
@media (max-width: 520px) {
  .reading input {
    font-size: var(--s28);
  }
  .reading input::placeholder {
    font-size: var(--s20);
  }
}
</style>
