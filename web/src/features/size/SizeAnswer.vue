<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'

import type { Figure, Schemas } from '@/shared/api/client'
import DrillList from '@/shared/figures/DrillList.vue'
import FigureValue from '@/shared/figures/FigureValue.vue'
import { provideUnit } from '@/shared/figures/useUnits'
import ShopServes from '@/shared/jobs/ShopServes.vue'
import WorkingPanel from '@/shared/figures/WorkingPanel.vue'

/** A thread at a glance: what to turn, what to drill, what to relieve, what to measure over. */
const props = defineProps<{ size: Schemas['SizeShown'] }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
provideUnit(() => props.size.unit)
const chosen = ref<string>('')

const figures = computed<Record<string, Figure>>(() => {
  const f = props.size.figures
  return Object.fromEntries([
    ...f.blank.map((b) => [b.school, b.figure]),
    ...f.basic.map((b) => [b.name, b]),
    ...f.groove.map((g) => [g.name, g]),
    ...(f.chamfer ? [['chamfer', f.chamfer]] : []),
    ['wire', f.wire],
  ]) as Record<string, Figure>
})
const working = computed(() => figures.value[chosen.value])
const pick = (key: string) => (chosen.value = chosen.value === key ? '' : key)

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
      <div class="row">
        <FigureValue
          v-for="blank in size.figures.blank"
          :key="blank.school"
          :figure="blank.figure"
          :label="`${blank.school}${blank.within_class ? '' : ' ⊘ outside class limits'}`"
          :strong="blank.school.startsWith('a fraction')"
          :open="chosen === blank.school"
          @working="pick(blank.school)"
        />
      </div>
    </section>

    <section v-if="!size.taper">
      <h3>Tapping drill</h3>
      <DrillList :drills="size.tapping_drills" />
    </section>

    <ShopServes :thread="size.designation" />

    <section>
      <h3>Relief groove, lead chamfer, wires</h3>
      <div class="row">
        <FigureValue
          v-for="groove in size.figures.groove"
          :key="groove.name"
          :figure="groove"
          :label="groove.name"
          :open="chosen === groove.name"
          @working="pick(groove.name)"
        />
        <FigureValue
          v-if="size.figures.chamfer"
          :figure="size.figures.chamfer"
          label="chamfer down to"
          :open="chosen === 'chamfer'"
          @working="pick('chamfer')"
        />
        <FigureValue
          :figure="size.figures.wire"
          label="best wire diameter"
          :open="chosen === 'wire'"
          @working="pick('wire')"
        />
      </div>
    </section>

    <section>
      <h3>Basic diameters</h3>
      <div class="row">
        <FigureValue
          v-for="basic in size.figures.basic"
          :key="basic.name"
          :figure="basic"
          :label="basic.name"
          :open="chosen === basic.name"
          @working="pick(basic.name)"
        />
      </div>
    </section>
    <WorkingPanel v-if="working" :figure="working" />
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
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 32px;
  align-items: end;
}
</style>
