<script setup lang="ts">
import { mdiFormatListBulletedSquare, mdiMagnify, mdiNotebookOutline, mdiScrewMachineFlatTop } from '@mdi/js'

const places = [
  { to: { name: 'jobs' }, label: 'Jobs', icon: mdiFormatListBulletedSquare, also: ['plan'] },
  { to: { name: 'identify' }, label: 'Identify', icon: mdiMagnify, also: [] as string[] },
  { to: { name: 'threads' }, label: 'Threads', icon: mdiScrewMachineFlatTop, also: [] as string[] },
  { to: { name: 'log' }, label: 'Log', icon: mdiNotebookOutline, also: [] as string[] },
]
</script>

<template>
  <nav class="rail" aria-label="Views">
    <svg class="shell" viewBox="0 0 40 40" role="img" aria-label="Conch">
      <path
        d="M20 36C10 36 4 29 4 20S11 4 20 4s15 6 15 14-6 13-13 13-11-4-11-10 4-9 9-9 8 3 8 7-3 6-6 6-4-2-4-4"
      />
    </svg>
    <router-link
      v-for="place in places"
      :key="place.label"
      :to="place.to"
      class="place"
      :class="{ here: $route.name === place.to.name || place.also.includes(String($route.name)) }"
      :aria-current="$route.name === place.to.name ? 'page' : undefined"
    >
      <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="place.icon" /></svg>
      {{ place.label }}
    </router-link>
  </nav>
</template>

<style scoped>
.rail {
  background: var(--quiet);
  border-right: 1px solid var(--line);
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding-top: 16px;
  position: sticky;
  top: 0;
  height: 100vh;
}
.shell {
  width: 40px;
  margin: 0 auto 14px;
  fill: none;
  stroke: var(--coral);
  stroke-width: 3.4;
  stroke-linecap: round;
}
.place {
  display: grid;
  justify-items: center;
  padding: 10px 0;
  color: var(--muted);
  font-size: var(--s14);
  font-weight: 700;
  text-decoration: none;
  border-left: 4px solid transparent;
}
.place svg {
  width: 24px;
  fill: currentcolor;
}
.place.here {
  color: var(--lagoon);
  border-left-color: var(--coral);
}
@media (max-width: 900px) {
  .rail {
    flex-direction: row;
    justify-content: space-around;
    padding: 0;
    position: sticky;
    top: auto;
    bottom: 0;
    height: auto;
    border-right: 0;
    border-top: 1px solid var(--line);
    background: var(--surface);
    z-index: 4;
  }
  .shell {
    display: none;
  }
  .place {
    flex: 1;
    border-left: 0;
    border-top: 4px solid transparent;
  }
  .place.here {
    border-top-color: var(--coral);
  }
}
</style>
