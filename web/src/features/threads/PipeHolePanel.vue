<script setup lang="ts">
import { computed } from 'vue'

import { ask, client } from '@/shared/api/client'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { named } from '@/shared/figures/labelled'
import InlineField from '@/shared/controls/InlineField.vue'
import { stored } from '@/shared/state/stored'
import { useLive } from '@/shared/api/useLive'
import { useOwnedDrills } from '@/features/threads/useOwnedDrills'
import { useUnits } from '@/shared/figures/useUnits'

/** A hole for a taper pipe thread: drill, ream, tap to the gauge. */
const props = defineProps<{ thread: string }>()
const { unit } = useUnits()
const owned = useOwnedDrills()
const drills = stored('drills', '', (value): value is string => typeof value === 'string')
const { found, problem } = useLive(
  'pipe-hole',
  () => ({ q: props.thread, drills: drills.value, unit: unit.value }),
  (query) => ask(client.GET('/api/threads/pipe-hole', { params: { query } })),
)
const figures = computed(() => (found.value?.figures ?? []).map(named))
</script>

<template>
  <section v-if="found || problem?.of('drills')" class="hole" aria-label="Taper hole">
    <h2>Tapped hole (taper)</h2>
    <InlineField
      label="Drills you own"
      before="choose from"
      :placeholder="`${owned}; or e.g. metric, 1/4, #7, F`"
      figure
      :model-value="drills"
      :error="problem?.of('drills')"
      @update:model-value="drills = $event"
    />
    <template v-if="found">
      <p class="pick">
        With a taper reamer: drill <strong class="fig">{{ found.reamed || '(bore it)' }}</strong>, then ream.
        Without one: drill <strong class="fig plain-drill">{{ found.plain || '(bore it)' }}</strong> and tap.
      </p>
      <FigureRow :figures="figures" />
      <p class="warning">▲ {{ found.warning }}</p>
    </template>
  </section>
</template>

<style scoped src="./hole.css"></style>
<style scoped>
.pick .plain-drill {
  color: var(--ink);
}
</style>
