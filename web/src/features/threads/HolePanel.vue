<script setup lang="ts">
import { computed } from 'vue'
import { VCheckbox } from 'vuetify/components/VCheckbox'

import FigureRow from '@/shared/figures/FigureRow.vue'
import { named } from '@/shared/figures/labelled'
import FigureValue from '@/shared/figures/FigureValue.vue'
import HoleMends from '@/features/threads/HoleMends.vue'
import InlineChoice from '@/shared/controls/InlineChoice.vue'
import InlineField from '@/shared/controls/InlineField.vue'
import SheetDrawing from '@/shared/drawing/SheetDrawing.vue'
import { useChoices } from '@/shared/api/useChoices'
import { useHole } from '@/features/threads/useHole'
import { useOwnedDrills } from '@/features/threads/useOwnedDrills'
import { useUnits } from '@/shared/figures/useUnits'

/** A hole for this thread: the drill out of those one owns, how strong it is, how deep to go. */
const props = defineProps<{ thread: string; internalClass: string }>()
const { found, problem, drills, wrong, metal, bolt, typed } = useHole(
  () => props.thread,
  () => props.internalClass,
)
const owned = useOwnedDrills()
const { data: choices } = useChoices()
const { text } = useUnits()
const error = (field: string) => problem.value?.of(field)
const FITS = { within: '✓ in class', 'too-small': '− too small', 'too-large': '+ too large' }
const strength = computed(() =>
  found.value
    ? [...found.value.strength, ...(found.value.margin ? [found.value.margin] : [])].map(named)
    : [],
)
const others = computed(() =>
  found.value
    ? [found.value.bore, found.value.countersink, ...(found.value.form ? [found.value.form] : [])].map(named)
    : [],
)
</script>

<template>
  <section class="hole" aria-label="Tapped hole">
    <h2>Tapped hole</h2>
    <p class="line">
      <InlineChoice
        label="Material of the hole"
        before="material"
        :model-value="metal"
        :choices="choices?.materials ?? []"
        :error="error('metal')"
        @update:model-value="metal = $event"
      />
      <InlineField
        label="Per cent thread wanted"
        before="at"
        after="% thread"
        :placeholder="found ? `usual: ${found.percent}` : ''"
        figure
        :model-value="typed.percent"
        :error="error('percent')"
        @update:model-value="typed.percent = $event"
      />
      <InlineField
        label="Drills you own"
        before="choose from"
        :placeholder="`${owned}; or e.g. metric, 1/4, #7, F`"
        figure
        :model-value="drills"
        :error="wrong ?? error('drills')"
        @update:model-value="drills = $event"
      />
      <v-checkbox v-model="typed.piloted" label="pilot hole first" />
    </p>
    <template v-if="found">
      <p class="pick">
        <strong v-if="found.pick" class="fig">{{ found.pick.name }}</strong> {{ found.words }}
      </p>
      <p v-for="warning in found.warnings" :key="warning" class="warning">▲ {{ warning }}</p>
      <div class="parts">
        <table class="drills">
          <thead>
            <tr class="small muted">
              <th scope="col">drill</th>
              <th scope="col">% thread</th>
              <th scope="col">hole</th>
              <th scope="col">torque</th>
              <th scope="col">class {{ found.class_name }}</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="one in found.beside"
              :key="one.name"
              :class="{ chosen: one.name === found.pick?.name }"
            >
              <th scope="row" class="fig">{{ one.name }}</th>
              <td><FigureValue :figure="one.percent" /></td>
              <td class="fig">{{ text(one.hole.shown) }}</td>
              <td class="fig">{{ one.torque_percent }} %</td>
              <td :class="one.fit">{{ FITS[one.fit] }}</td>
            </tr>
          </tbody>
        </table>
        <div>
          <SheetDrawing class="chart" :sheet="found.chart" />
          <p class="small">{{ found.trade }}</p>
        </div>
      </div>
      <p class="line">
        <InlineChoice
          label="Material of the bolt"
          before="bolt material"
          :model-value="bolt"
          :choices="choices?.materials ?? []"
          :error="error('bolt')"
          @update:model-value="bolt = $event"
        />
        <span class="muted">Strips first: {{ found.weaker }}</span>
      </p>
      <FigureRow :figures="strength" />
      <p class="line">
        <InlineField
          label="Depth of full thread"
          before="blind hole: full thread depth"
          placeholder="depth"
          figure
          :model-value="typed.depth"
          :error="error('depth')"
          @update:model-value="typed.depth = $event"
        />
      </p>
      <FigureRow v-if="found.depths.length" :figures="found.depths.map(named)" />
      <p class="line">
        <InlineField
          label="Thickness of the material"
          before="thin metal: thickness"
          placeholder="thickness"
          figure
          :model-value="typed.through"
          :error="error('through')"
          @update:model-value="typed.through = $event"
        />
      </p>
      <template v-if="found.thin">
        <FigureRow :figures="[found.thin.turns, found.thin.holds].map(named)" />
        <p v-for="told in found.thin.advice" :key="told">{{ told }}</p>
      </template>
      <FigureRow :figures="others" />
      <HoleMends :mends="found.mends" />
    </template>
    <p v-else-if="problem && !problem.errors.length" class="field-error" role="alert">
      {{ problem.message }}
    </p>
  </section>
</template>

<style scoped src="./hole.css"></style>
<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
}
.too-small,
.too-large {
  color: var(--caution);
}
.within {
  color: var(--good);
}
.parts {
  display: grid;
  grid-template-columns: minmax(0, max-content) minmax(min(280px, 100%), 1fr);
  gap: 24px;
  align-items: start;
}
table {
  border-collapse: collapse;
}
.drills {
  display: block;
  overflow-x: auto;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 4px 16px 4px 0;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
.chosen th,
.chosen td {
  font-weight: 700;
}
@media (max-width: 1100px) {
  .parts {
    grid-template-columns: minmax(0, 1fr);
  }
}
/* On a phone the verdict is seen without moving the table. */
@media (max-width: 480px) {
  th,
  td {
    padding-right: 8px;
  }
  .drills .fig,
  .drills td {
    font-size: var(--s14);
  }
}
</style>
