<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client } from '@/shared/api/client'
import SheetDrawing from '@/shared/drawing/SheetDrawing.vue'

/** The train that a step on the leadscrew is geared with, drawn; every other one is a press away. */
const props = defineProps<{ pitch: string; setup: Record<string, unknown> }>()
const said = (field: string) => {
  const value = props.setup[field]
  return typeof value === 'string' ? value : ''
}
const query = computed(() => ({
  pitch: props.pitch,
  leadscrew: said('leadscrew'),
  gearbox: said('gearbox'),
  gears: said('gears'),
  dial_teeth: said('dial_teeth'),
  dial_lines: said('dial_lines'),
}))
const { data } = useQuery({
  queryKey: computed(() => ['gears', query.value]),
  queryFn: () => ask(client.GET('/api/gears', { params: { query: query.value } })),
  enabled: () => query.value.pitch !== '' && query.value.leadscrew !== '' && query.value.gears !== '',
  retry: false,
})
const train = computed(() => data.value?.trains.find((one) => one.meshes))
</script>

<template>
  <div class="gears">
    <SheetDrawing v-if="train?.drawing" :sheet="train.drawing" />
    <p><router-link :to="{ name: 'gears', query }">All gear trains</router-link></p>
  </div>
</template>

<style scoped>
.gears > svg {
  width: 100%;
  max-width: 340px;
}
</style>
