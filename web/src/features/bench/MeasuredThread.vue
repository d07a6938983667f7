<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { VTextField } from 'vuetify/components/VTextField'

import type { BenchNow } from '@/features/bench/projected'
import type { FieldError, Unit } from '@/shared/api/client'
import UnlikelyReading from '@/features/bench/UnlikelyReading.vue'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { named } from '@/shared/figures/labelled'
import { useUnits } from '@/shared/figures/useUnits'

/** A thread measured instead of tried with a nut, over three wires or by its anvils, and how surely it is in its class. */
const props = defineProps<{
  bench: BenchNow
  busy: boolean
  anvils?: boolean
  reading?: FieldError
  wire?: FieldError
}>()
const emit = defineEmits<{ size: [over: string, wire: string, unit: Unit, sure: boolean] }>()
const { told, unit } = useUnits()
const over = ref('')
const wires = ref('')
/** What was sent last: what was typed while that was on its way is the next one's. */
const sent = ref('')
watch(
  () => props.bench.last,
  () => {
    if (over.value === sent.value) over.value = ''
  },
)
/** The wires of the step: those taken where no others are named. */
const best = computed(() => props.bench.step?.figures.find((one) => one.key === 'wire')?.figure)
const sized = computed(() => {
  const found = props.bench.sized
  const told = found ? [found.pitch_diameter, found.uncertainty, found.chance] : []
  return told.map(named)
})
function send(sure = false) {
  if (!over.value.trim()) return
  sent.value = over.value
  emit('size', over.value, wires.value, unit.value, sure)
}
function meant(text: string) {
  over.value = text
  send()
}
/** It is asked about for as long as it stands in its field. */
const unlikely = computed(() =>
  props.reading?.code === 'unlikely' && over.value === sent.value ? props.reading : undefined,
)
</script>

<template>
  <form
    v-if="best"
    class="wires"
    :class="{ alone: anvils }"
    :aria-label="anvils ? 'Measure with a thread micrometer' : 'Measure over three wires'"
    novalidate
    @submit.prevent="send()"
  >
    <v-text-field
      v-model="over"
      class="fig"
      :label="anvils ? `thread micrometer, ${unit}` : `over wires, ${unit}`"
      data-keys="empty"
      inputmode="decimal"
      autocomplete="off"
      maxlength="60"
      :error-messages="unlikely || over !== sent ? undefined : reading?.message"
    />
    <v-text-field
      v-if="!anvils"
      v-model="wires"
      class="fig"
      :label="`wire dia., ${unit}`"
      :placeholder="told(best.shown).text"
      persistent-placeholder
      data-keys="empty"
      inputmode="decimal"
      autocomplete="off"
      maxlength="60"
      :error-messages="wire?.message"
    />
    <v-btn v-if="over.trim()" type="submit" variant="outlined" color="secondary" size="large" :disabled="busy"
      >Record the reading</v-btn
    >
    <UnlikelyReading
      v-if="unlikely"
      :error="unlikely"
      :typed="over"
      :busy="busy"
      @meant="meant"
      @sure="send(true)"
    />
    <FigureRow v-if="sized.length" :key="bench.last" class="sized" :figures="sized" />
    <p v-if="sized.length && bench.sized?.tells" class="tells" role="status">{{ bench.sized.tells }}</p>
  </form>
</template>

<style scoped>
.wires {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: flex-start;
}
.wires > .fig {
  flex: 1 1 180px;
}
.wires.alone > .fig {
  flex-basis: 260px;
}
.sized,
.tells {
  flex-basis: 100%;
}
</style>
