<script setup lang="ts">
import { computed } from 'vue'
import { VBtnToggle } from 'vuetify/components/VBtnToggle'

import type { BenchNow } from '@/features/bench/projected'
import type { Schemas } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** What can be measured of the step: one is looked at, with its band and what it is measured with. */
const chosen = defineModel<string>({ required: true })
const props = defineProps<{ bench: BenchNow; dimension: Schemas['DimensionShown'] }>()
const { told, text } = useUnits()
const STATES: Record<string, string> = { 'on-size': '✓', past: '✗' }
const marks = computed(() =>
  Object.fromEntries(
    props.bench.sizes.map((size) => [
      size.measured,
      size.readings.length ? (STATES[size.cut?.state ?? ''] ?? '◌') : '',
    ]),
  ),
)
</script>

<template>
  <div class="sizes">
    <v-btn-toggle
      v-if="bench.sizes.length > 1"
      class="choices"
      :model-value="dimension.measured"
      mandatory
      variant="outlined"
      aria-label="Dimension to measure"
      @update:model-value="chosen = $event"
    >
      <v-btn v-for="one in bench.step?.dimensions" :key="one.measured" :value="one.measured"
        >{{ one.name }} {{ marks[one.measured] }}</v-btn
      >
    </v-btn-toggle>
    <p class="band">
      <span v-if="bench.sizes.length === 1">{{ dimension.name }}</span>
      limits <strong class="fig">{{ told(dimension.low).text }} to {{ text(dimension.high) }}</strong>
      <span v-if="dimension.how" class="muted small">{{ dimension.how }}</span>
    </p>
  </div>
</template>

<style scoped>
.sizes {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}
/* Two a row, their words wrap. */
.choices {
  flex: 1 1 100%;
}
.choices.v-btn-toggle.v-btn-group > .v-btn.v-btn {
  flex: 1 1 40%;
  height: auto;
  min-width: 0;
  padding: 4px 12px;
}
.choices :deep(.v-btn__content) {
  white-space: normal;
  line-height: 1.2;
}
@media (max-width: 600px) {
  .band .small {
    display: none;
  }
}
.band {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
}
</style>
