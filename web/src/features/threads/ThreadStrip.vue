<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'

import { ask, client, type Schemas } from '@/shared/api/client'
import { useWidth } from '@/shared/state/useWidth'

/** The thread that is shown among its series: its neighbours a press away, any other size in the strip. */
const props = defineProps<{ chosen: string; series: string }>()
const emit = defineEmits<{ choose: [string] }>()

/** How wide (px) a size is in the strip: its letters, and the room beside them. */
const CHAR = 9.7
const BESIDE = 24
const wide = (row: Schemas['RowShown']) => CHAR * row.designation.length + BESIDE

const picked = ref('UNC')
const strip = useTemplateRef<HTMLElement>('strip')
const { data: all } = useQuery({
  queryKey: ['series'],
  queryFn: () => ask(client.GET('/api/threads/series')),
  staleTime: Infinity,
})
const { data: rows } = useQuery({
  queryKey: computed(() => ['rows', picked.value]),
  queryFn: () => ask(client.GET('/api/threads/rows', { params: { query: { series: picked.value } } })),
  staleTime: Infinity,
})
const at = computed(() => rows.value?.findIndex((row) => row.designation === props.chosen) ?? -1)
const beside = computed(() =>
  [
    { sign: '←', name: 'Smaller', row: rows.value?.[at.value - 1] },
    { sign: '→', name: 'Larger', row: at.value < 0 ? undefined : rows.value?.[at.value + 1] },
  ].map((one) => ({ ...one, label: one.row ? `${one.name}: ${one.row.designation}` : one.name })),
)
// A thread found by typing opens its own series, and is shown there.
watch(
  [() => props.series, all],
  ([now]) => {
    if (all.value?.some((one) => one.series === now)) picked.value = now
  },
  { immediate: true },
)
/** As many neighbours on either side as there is room for. */
const width = useWidth(strip, 0)
const shown = computed(() => {
  const sizes = rows.value ?? []
  const many = Math.max(1, Math.floor(width.value / Math.max(1, ...sizes.map(wide))))
  const first = Math.max(0, Math.min(at.value - Math.floor(many / 2), sizes.length - many))
  return sizes.slice(first, first + many)
})
</script>

<template>
  <nav class="strip" aria-label="Threads">
    <v-select
      v-if="all"
      v-model="picked"
      class="series"
      density="compact"
      label="Series"
      :items="all"
      item-value="series"
      :item-title="(one: Schemas['SeriesShown']) => `${one.name} (${one.count})`"
    />
    <plain-btn
      v-for="one in beside.slice(0, 1)"
      :key="one.sign"
      :aria-label="one.label"
      :disabled="!one.row"
      @click="one.row && emit('choose', one.row.designation)"
      >{{ one.sign }}</plain-btn
    >
    <ul ref="strip" class="sizes">
      <li v-for="row in shown" :key="row.designation">
        <button
          type="button"
          class="size fig"
          :class="{ here: row.designation === chosen }"
          :aria-current="row.designation === chosen"
          @click="emit('choose', row.designation)"
        >
          {{ row.designation }}
        </button>
      </li>
    </ul>
    <plain-btn
      v-for="one in beside.slice(1)"
      :key="one.sign"
      :aria-label="one.label"
      :disabled="!one.row"
      @click="one.row && emit('choose', one.row.designation)"
      >{{ one.sign }}</plain-btn
    >
  </nav>
</template>

<style scoped>
.strip {
  display: flex;
  gap: 8px;
  align-items: center;
}
.series {
  flex: 0 0 300px;
}
.sizes {
  position: relative;
  display: flex;
  flex: 1 1 0;
  min-width: 0;
}
.size {
  border: 0;
  border-bottom: 4px solid transparent;
  background: none;
  min-height: 40px;
  padding: 0 12px;
  white-space: nowrap;
  cursor: pointer;
}
@media (pointer: coarse) {
  .size {
    min-height: 44px;
  }
}
.size:hover {
  background: var(--quiet);
}
.size.here {
  border-bottom-color: var(--lagoon);
  background: var(--surface);
  font-weight: 700;
}
@media (max-width: 700px) {
  .strip {
    flex-wrap: wrap;
  }
  .series {
    flex: 1 0 100%;
  }
}
</style>
