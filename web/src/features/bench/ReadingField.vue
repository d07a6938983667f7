<script setup lang="ts">
import { ref } from 'vue'

import type { Problem, Schemas } from '@/shared/api/client'
import DialledField from '@/features/bench/DialledField.vue'
import NumberPad from '@/features/bench/NumberPad.vue'
import type { SizeNow } from '@/features/bench/projected'
import { useUnits } from '@/shared/figures/useUnits'

/** The next reading of a size, and what was dialled before it. */
const typed = defineModel<string>('typed', { required: true })
const dialled = defineModel<string>('dialled', { required: true })
/** The number pad is out: the keyboard of the device stays down. */
const pad = defineModel<boolean>('pad', { required: true })
defineProps<{
  size: SizeNow
  dimension: Schemas['DimensionShown']
  drives: boolean
  problem?: Problem | null
  /** Fingers do the pointing: the pad is offered. */
  touched: boolean
}>()
const { unit } = useUnits()
const field = ref<HTMLInputElement>()
/** What the pad types into: the field that had the focus last. */
const target = ref<HTMLInputElement | null>(null)
const into = (event: FocusEvent) => {
  if (event.target instanceof HTMLInputElement) target.value = event.target
}
function turnPad() {
  pad.value = !pad.value
  ;(target.value ?? field.value)?.focus()
}
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <div class="said" @focusin="into">
    <label class="reading" :class="{ wrong: problem?.of('reading') }">
      <span class="sr"
        >New reading, {{ dimension.name }}, {{ unit === 'in' ? 'inches' : 'millimetres' }}</span
      >
      <input
        ref="field"
        v-model="typed"
        class="fig"
        data-keys="empty"
        :inputmode="pad ? 'none' : 'decimal'"
        :placeholder="drives ? 'new reading' : dimension.name"
        autocomplete="off"
        maxlength="60"
        :aria-invalid="problem?.of('reading') !== undefined"
        @keydown.enter="typed.trim() || $event.preventDefault()"
      />
      <span class="muted">{{ unit }}</span>
    </label>
    <v-btn
      v-if="touched || pad"
      class="turn fig"
      variant="outlined"
      aria-label="123, number pad"
      :aria-pressed="pad"
      @click="turnPad"
      >123</v-btn
    >
    <DialledField
      v-if="size.readings.length && size.cut?.dial"
      v-model="dialled"
      :asked="size.cut.dial"
      :error="problem?.of('dialled')"
      :pad="pad"
    />
    <NumberPad v-if="pad" :field="target ?? field ?? null" />
  </div>
</template>

<style scoped>
.said {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
}
.reading {
  flex: 1 1 280px;
  min-width: 0;
  display: flex;
  align-items: center;
  border: 3px solid var(--lagoon);
  border-radius: var(--round);
  background: var(--surface);
  padding: 0 16px;
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
.turn.v-btn.v-btn {
  height: auto;
  min-height: 56px;
  min-width: 56px;
  padding: 0 8px;
  border-color: var(--line);
}
@media (max-width: 600px) {
  .said {
    gap: 8px;
  }
  .reading {
    flex: 1 1 150px;
    padding: 0 12px;
  }
  .reading input {
    font-size: var(--s28);
  }
  .reading input::placeholder {
    font-size: var(--s16);
  }
}
</style>
