<script setup lang="ts">
import { computed, ref } from 'vue'
import { VTextField } from 'vuetify/components/VTextField'

import TrainRow from '@/features/gears/TrainRow.vue'
import { type GearField, useGears } from '@/features/gears/useGears'
import CautionLine from '@/shared/controls/CautionLine.vue'
import WaitingSign from '@/shared/controls/WaitingSign.vue'
import SheetDrawing from '@/shared/drawing/SheetDrawing.vue'

/** Change gears for a pitch: every train of the wheels one owns, what each is off, when the nuts may be closed. */
const { typed, lathes, take, found, wrong, whole, example, problem } = useGears()
const FIELDS: { field: GearField; label: string; hint: string }[] = [
  { field: 'pitch', label: 'Pitch or thread', hint: '13 tpi, 1.5 mm, M10' },
  { field: 'leadscrew', label: 'Leadscrew', hint: '8 tpi, 3 mm' },
  { field: 'gearbox', label: 'Gearbox', hint: 'none; or 8, 9, 10 tpi; 0.5, 1 mm' },
  { field: 'gears', label: 'Change gears you own (teeth)', hint: '20, 30, 40, 40, 65' },
  { field: 'dial_teeth', label: 'Thread dial gear', hint: 'no dial' },
  { field: 'dial_lines', label: 'Thread dial lines', hint: 'no dial' },
  { field: 'length', label: 'Thread length', hint: '1 in' },
]
const picked = ref(0)
const trains = computed(() =>
  (whole.value || example.value) && !problem.value ? (found.value?.trains ?? []) : [],
)
const shown = computed(() => trains.value[picked.value] ?? trains.value[0])
</script>

<template>
  <div class="page">
    <h1>Change gears</h1>
    <p v-if="lathes.length" class="lathes">
      <span class="muted">Fill in from:</span>
      <plain-btn v-for="one in lathes" :key="one.id" @click="take(one.id)">{{ one.name }}</plain-btn>
    </p>
    <form class="fields" @submit.prevent>
      <v-text-field
        v-for="one in FIELDS"
        :key="one.field"
        v-model="typed[one.field]"
        :class="one.field"
        :label="one.label"
        :placeholder="one.hint"
        persistent-placeholder
        autocomplete="off"
        :error-messages="whole ? wrong(one.field) : undefined"
      />
    </form>
    <p v-if="problem && !problem.errors.length" class="field-error" role="alert">{{ problem.message }}</p>
    <p v-if="example" class="muted">
      Type a pitch or a thread, and the leadscrew pitch. The gears come from your lathe in Shop, if you have
      entered them.<template v-if="trains.length"> An example:</template>
    </p>
    <div
      v-if="found && !problem && (whole || (example && trains.length))"
      class="answer"
      :class="{ example }"
      :inert="example"
    >
      <section aria-label="Trains">
        <p class="ratio">
          {{ found.pitch }} with a {{ found.leadscrew }} leadscrew: the leadscrew makes
          <b class="fig">{{ found.ratio }}</b>
          turn for each turn of the spindle.
        </p>
        <ul v-if="trains.length">
          <TrainRow
            v-for="(train, at) in trains"
            :key="train.words"
            :train="train"
            :chosen="train === shown"
            @choose="picked = at"
          />
        </ul>
        <p v-else class="none">
          ◆ No train of these gears is within 0.5 %. For metric threads on an inch leadscrew add a 127, or a
          63 and an 80.
        </p>
        <p v-if="shown" class="nuts">
          {{ shown.nuts }}
          <span v-if="shown.lines.length" class="muted">Lines {{ shown.lines.join(', ') }}.</span>
        </p>
        <CautionLine :cautions="found.cautions" />
      </section>
      <SheetDrawing v-if="shown?.drawing" class="train" :sheet="shown.drawing" />
    </div>
    <WaitingSign v-else-if="whole && !problem" what="the trains" />
    <p v-else-if="!whole && !example" class="muted">Type the leadscrew pitch.</p>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 12px;
}
.lathes {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 1fr));
  gap: 12px;
}
.pitch,
.leadscrew {
  grid-column: span 2;
}
.gearbox {
  grid-column: span 2;
}
.gears {
  grid-column: span 4;
  order: 2;
}
.dial_teeth,
.dial_lines {
  grid-column: span 1;
}
.length {
  grid-column: span 2;
  order: 3;
}
.answer {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 24px;
}
/* What it would look like: gone at the first key. */
.example {
  opacity: 0.55;
}
.ratio {
  font-size: var(--s16);
}
.train {
  width: 100%;
  max-width: 460px;
}
.nuts {
  padding-top: 12px;
  font-weight: 700;
}
.caution,
.none {
  color: var(--caution);
}
@media (max-width: 960px) {
  .answer {
    grid-template-columns: minmax(0, 1fr);
  }
  .fields {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .gears,
  .length,
  .pitch,
  .leadscrew {
    grid-column: span 2;
  }
}
</style>
