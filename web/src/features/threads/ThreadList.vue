<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, nextTick, ref, watch } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'

import { ask, client, type Schemas } from '@/shared/api/client'
import WaitingSign from '@/shared/controls/WaitingSign.vue'
import { useFavourites } from '@/features/threads/useFavourites'
import { useUnits } from '@/shared/figures/useUnits'

/** The book's contents: what the shop keeps at hand, then one series at a time. */
const props = defineProps<{ chosen?: string; series?: string }>()
const emit = defineEmits<{ choose: [string] }>()
const { text } = useUnits()
const { kept } = useFavourites()

const picked = ref('UNC')
const sizes = ref<HTMLElement>()
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
// A thread found by typing opens its own series in the list, and is shown there.
watch(
  [() => props.series, all],
  ([now]) => {
    if (now && all.value?.some((s) => s.series === now)) picked.value = now
  },
  { immediate: true },
)
watch(
  [() => props.chosen, rows],
  async () => {
    await nextTick()
    const row = sizes.value?.querySelector<HTMLElement>('.here')
    if (row && sizes.value) sizes.value.scrollTop = row.offsetTop - sizes.value.offsetTop - 80
  },
  { immediate: true },
)
</script>

<template>
  <nav class="list" aria-label="Threads">
    <section v-if="kept.length && chosen">
      <h2>Favourites</h2>
      <ul>
        <li v-for="name in kept" :key="name">
          <button type="button" class="row" :class="{ here: name === chosen }" @click="emit('choose', name)">
            <span class="fig">★ {{ name }}</span>
          </button>
        </li>
      </ul>
    </section>
    <section>
      <v-select
        v-if="all"
        v-model="picked"
        class="series"
        label="Series"
        :items="all"
        item-value="series"
        :item-title="(one: Schemas['SeriesShown']) => `${one.name} (${one.count})`"
      />
      <WaitingSign v-if="!rows" what="the sizes" />
      <ul ref="sizes" class="sizes">
        <li v-for="row in rows" :key="row.designation">
          <button
            type="button"
            class="row"
            :class="{ here: row.designation === chosen }"
            :aria-current="row.designation === chosen"
            @click="emit('choose', row.designation)"
          >
            <span class="fig">{{ row.designation }}</span>
            <span class="muted small fig">{{ text(row.major) }}</span>
          </button>
        </li>
      </ul>
    </section>
  </nav>
</template>

<style scoped>
.list {
  display: grid;
  gap: 16px;
  align-content: start;
}
h2 {
  font-size: var(--s14);
  color: var(--muted);
}
.series {
  margin: 4px 0;
}
.sizes {
  max-height: 60vh;
  overflow-y: auto;
}
.row {
  border: 0;
  border-left: 4px solid transparent;
  background: none;
  width: 100%;
  padding: 4px 8px;
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 8px;
  cursor: pointer;
  text-align: left;
}
@media (pointer: coarse) {
  .row {
    min-height: 44px;
  }
}
.row:hover {
  background: var(--quiet);
}
.row.here {
  border-left-color: var(--lagoon);
  background: var(--surface);
  font-weight: 700;
}
@media (max-width: 900px) {
  .sizes {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
    column-gap: 16px;
    max-height: 17vh;
  }
}
</style>
