<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'

import type { Schemas } from '@/shared/api/client'
import DrillList from '@/shared/figures/DrillList.vue'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { named } from '@/shared/figures/labelled'
import { provideUnit } from '@/shared/figures/useUnits'
import ShopServes from '@/shared/jobs/ShopServes.vue'

/** A thread at a glance: what to turn, what to drill, what to relieve, what to measure over. */
const props = defineProps<{ size: Schemas['SizeShown'] }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
provideUnit(() => props.size.unit)
const blanks = computed(() =>
  props.size.figures.blank.map(({ school, figure, within_class: within }) => ({
    label: `${school}${within ? '' : ' ⊘ outside class limits'}`,
    figure,
    strong: school.startsWith('a fraction'),
  })),
)
const beside = computed(() => {
  const { groove, chamfer, wire } = props.size.figures
  return [
    ...groove.map(named),
    ...(chamfer ? [{ label: 'chamfer down to', figure: chamfer }] : []),
    { label: 'best wire diameter', figure: wire },
  ]
})

async function startJob() {
  emit('close')
  await router.push({ name: 'start', query: { thread: props.size.designation } })
}
async function openPage() {
  emit('close')
  await router.push({ name: 'threads', query: { q: props.size.designation } })
}
</script>

<template>
  <div class="glance">
    <header>
      <h2>{{ size.designation }}</h2>
      <p class="muted small">
        {{ size.angle_deg }}° · <template v-if="size.tpi">{{ size.tpi }} threads per inch · </template>pitch
        <span class="fig">{{ size.pitch.toPrecision(4) }} {{ size.unit }}</span> · {{ size.source.title }}
      </p>
      <p v-for="note in size.notes" :key="note" class="small">{{ note }}</p>
    </header>

    <section v-if="size.figures.blank.length" class="blank">
      <h3>Blank diameter</h3>
      <FigureRow :figures="blanks" />
    </section>

    <section v-if="!size.taper">
      <h3>Tapping drill</h3>
      <DrillList :drills="size.tapping_drills" />
    </section>

    <ShopServes :thread="size.designation" />

    <section>
      <h3>Relief groove, lead chamfer, wires</h3>
      <FigureRow :figures="beside" />
    </section>

    <section>
      <h3>Basic diameters</h3>
      <FigureRow :figures="size.figures.basic.map(named)" />
    </section>
    <footer>
      <v-btn v-if="size.external" color="secondary" @click="startJob">Start a job with this thread</v-btn>
      <plain-btn @click="openPage">Open the thread page</plain-btn>
    </footer>
  </div>
</template>

<style scoped>
.glance {
  display: grid;
  gap: 12px;
}
h3 {
  font-size: var(--s14);
  color: var(--muted);
  font-weight: 700;
  margin-bottom: 4px;
}
footer {
  display: flex;
  gap: 16px;
  align-items: center;
}
</style>
