<script setup lang="ts">
import {
  mdiFormatListBulletedSquare,
  mdiMagnify,
  mdiNotebookOutline,
  mdiOil,
  mdiScrewMachineFlatTop,
  mdiToolboxOutline,
} from '@mdi/js'

import ShellMark from '@/shared/theme/ShellMark.vue'

const places = [
  { to: { name: 'jobs' }, label: 'Jobs', icon: mdiFormatListBulletedSquare, also: ['plan', 'start', 'week'] },
  { to: { name: 'identify' }, label: 'Identify', icon: mdiMagnify, also: [] as string[] },
  { to: { name: 'threads' }, label: 'Threads', icon: mdiScrewMachineFlatTop, also: [] as string[] },
  { to: { name: 'shop' }, label: 'Shop', icon: mdiToolboxOutline, also: ['gears', 'holders'] },
  { to: { name: 'log' }, label: 'Log', icon: mdiNotebookOutline, also: [] as string[] },
  { to: { name: 'upkeep' }, label: 'Upkeep', icon: mdiOil, also: ['pair'] },
]
</script>

<template>
  <nav class="rail" aria-label="Main menu">
    <ShellMark class="shell" label="Conch" />
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
  gap: 4px;
  padding-top: 16px;
  position: sticky;
  top: 0;
  height: 100vh;
}
.shell {
  width: 44px;
  margin: 0 auto 12px;
}
.place {
  display: grid;
  justify-items: center;
  padding: 8px 0;
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
  border-left-color: var(--lagoon);
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
    border-top-color: var(--lagoon);
  }
}
</style>
