<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'

import { useFavourites } from '@/features/threads/useFavourites'
import { ask, client } from '@/shared/api/client'

/** The book before a thread is asked for: what is kept at hand, and the series with their forms drawn. */
defineEmits<{ choose: [designation: string] }>()
const { kept } = useFavourites()
const { data: all } = useQuery({
  queryKey: ['series'],
  queryFn: () => ask(client.GET('/api/threads/series')),
  staleTime: Infinity,
})
</script>

<template>
  <div class="opening">
    <section v-if="kept.length" aria-label="Favourites">
      <h2>Favourites</h2>
      <p class="kept">
        <v-btn v-for="name in kept" :key="name" variant="outlined" @click="$emit('choose', name)">
          <span class="fig">{{ name }}</span>
        </v-btn>
      </p>
    </section>
    <section aria-label="All threads">
      <h2>Series</h2>
      <div class="series">
        <button v-for="one in all" :key="one.series" type="button" @click="$emit('choose', one.least)">
          <svg :viewBox="`0 0 ${one.picture.width} ${one.picture.height}`" aria-hidden="true">
            <path v-for="(p, n) in one.picture.paths" :key="n" :d="p.d" />
          </svg>
          <b>{{ one.name }}</b>
          <span class="muted small"
            >{{ one.angle_deg }}° · {{ one.count === 1 ? '1 size' : `${one.count} sizes` }}</span
          >
          <span class="fig small">{{ one.count === 1 ? one.least : `${one.least} to ${one.greatest}` }}</span>
        </button>
      </div>
    </section>
  </div>
</template>

<style scoped>
.opening {
  display: grid;
  gap: 20px;
  align-content: start;
}
h2 {
  font-size: var(--s16);
  border-bottom: 2px solid var(--line);
  margin-bottom: 10px;
}
.kept {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.series {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 10px;
}
.series button {
  display: grid;
  gap: 2px;
  justify-items: start;
  text-align: left;
  padding: 10px 14px;
  font: inherit;
  color: var(--ink);
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
  cursor: pointer;
}
.series button:hover {
  border-color: var(--lagoon);
}
svg {
  width: 100%;
  height: 40px;
}
path {
  fill: var(--metal);
  stroke: var(--ink);
  stroke-width: 1.6;
  stroke-linejoin: round;
}
</style>
