<script setup lang="ts">
import { computed, ref } from 'vue'
import { VBtnToggle } from 'vuetify/components/VBtnToggle'

import type { Schemas } from '@/shared/api/client'
import PartDrawing from '@/shared/drawing/PartDrawing.vue'

/** A holder in section, together with its mates or apart, and its first part as it is made; and as files. */
const props = defineProps<{
  design: Schemas['HolderDesigned']
  fileAt: (file: string, apart?: boolean) => string
}>()
type How = 'together' | 'apart' | 'drawing'
const NAMES: Record<How, string> = { together: 'assembled', apart: 'exploded', drawing: 'dimensioned' }
const how = ref<How>('together')
const views = computed(() =>
  (Object.keys(NAMES) as How[]).filter((one) => one !== 'drawing' || props.design.drawing),
)
const sheet = computed(() => props.design[how.value] ?? props.design.together)
const apart = computed(() => how.value === 'apart')
</script>

<template>
  <div class="drawings">
    <v-btn-toggle v-model="how" mandatory color="primary" variant="outlined" aria-label="View">
      <v-btn v-for="one in views" :key="one" :value="one" :aria-pressed="one === how">{{ NAMES[one] }}</v-btn>
    </v-btn-toggle>
    <PartDrawing class="drawing" :sheet="sheet" fixed />
    <p class="files">
      <a :href="fileAt('drawing.svg', apart)">Drawing (SVG)</a>
      <a :href="fileAt('drawing.dxf', apart)">Drawing, full size (DXF)</a>
      <a :href="fileAt('sheet.pdf')">Dimension sheet (PDF)</a>
    </p>
  </div>
</template>

<style scoped>
.drawings {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.drawing {
  width: 100%;
  max-width: 680px;
}
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
}
</style>
