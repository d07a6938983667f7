<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRoute } from 'vue-router'

import AppRail from '@/features/shell/AppRail.vue'
import WaitingElsewhere from '@/features/shell/WaitingElsewhere.vue'
import SizeLine from '@/features/size/SizeLine.vue'
import NewsOfTheShop from '@/shared/api/NewsOfTheShop.vue'
import { useKnown, useMe } from '@/shared/api/useMe'
import { useKeys } from '@/shared/state/useKeys'
import { useShopTheme } from '@/shared/state/useShopTheme'
import { MODES, turnUnits, useUnits } from '@/shared/figures/useUnits'

const PairView = defineAsyncComponent(() => import('@/features/upkeep/PairView.vue'))
const KeysHelp = defineAsyncComponent(() => import('@/features/shell/KeysHelp.vue'))

const route = useRoute()
const atBench = computed(() => route.meta.bench === true)
const theme = useShopTheme(() => atBench.value)
const { mode } = useUnits()
const { me, looksOnly } = useMe()
useKnown()
const sizing = ref(false)
const helping = ref(false)

useKeys([
  { key: '/', label: 'size a thread', run: () => (sizing.value = true), whenEmpty: true },
  {
    key: '?',
    label: 'show or hide these shortcuts',
    run: () => (helping.value = !helping.value),
    whenEmpty: true,
  },
  { key: 'u', label: 'change units: job’s own, in, mm', run: turnUnits, whenEmpty: true },
  { key: 'Escape', label: 'close this list', run: () => (helping.value = false) },
])
</script>

<template>
  <v-app>
    <a class="sr skip" href="#main">Skip to content</a>
    <PairView v-if="me?.role === ''" />
    <NewsOfTheShop v-if="me?.role" />
    <div v-if="me?.role !== ''" class="frame" :class="{ bench: atBench }">
      <AppRail v-if="!atBench" />
      <div class="page">
        <header v-if="!atBench || sizing" class="top" :class="{ over: atBench }">
          <SizeLine v-model:open="sizing" />
          <div class="units" role="group" aria-label="Units">
            <button
              v-for="name in MODES"
              :key="name"
              type="button"
              :aria-pressed="mode === name"
              @click="mode = name"
            >
              <template v-if="name === 'job'">job<span class="long">’s units</span></template>
              <template v-else>{{ name }}</template>
            </button>
          </div>
          <plain-btn @click="theme.toggle()">
            {{ theme.name() === 'shell' ? 'Dark screen' : 'Light screen' }}
          </plain-btn>
          <plain-btn aria-label="Keyboard shortcuts" @click="helping = true"><kbd>?</kbd></plain-btn>
        </header>
        <WaitingElsewhere />
        <p v-if="looksOnly && !atBench" class="onlooker" role="note">
          ◌ {{ me?.name }} can view only. Changes are made on the host or on a paired device with full use.
        </p>
        <main id="main" tabindex="-1"><router-view :key="route.path" /></main>
      </div>
    </div>
    <KeysHelp v-if="helping" @close="helping = false" />
  </v-app>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr);
  min-height: 100vh;
}
.frame.bench {
  grid-template-columns: minmax(0, 1fr);
}
.top {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 8px 24px;
  border-bottom: 1px solid var(--line);
}
.top.over {
  position: fixed;
  inset: 0 0 auto;
  z-index: 5;
  background: var(--ground);
}
.units {
  margin-left: auto;
  flex: none;
  display: flex;
  border: 1px solid var(--line);
  border-radius: var(--round);
  overflow: hidden;
}
.units button {
  border: 0;
  background: var(--surface);
  padding: 4px 16px;
  cursor: pointer;
  white-space: nowrap;
}
@media (pointer: coarse) {
  .units button {
    min-height: var(--row);
  }
}
.units button[aria-pressed='true'] {
  background: var(--lagoon);
  color: var(--ground);
  font-weight: 700;
}
main {
  /* What the window leaves between the bar at the top and the edges of a page. */
  --inside: calc(100dvh - 105px);
  padding: 16px 24px 32px;
  outline: none;
}
.bench main {
  padding: 0;
}
.onlooker {
  padding: 4px 24px;
  background: var(--quiet);
  border-bottom: 1px solid var(--line);
}
.skip:focus {
  clip-path: none;
  width: auto;
  height: auto;
  padding: 8px;
  background: var(--surface);
  z-index: 9;
}
@media (max-width: 900px) {
  .long {
    display: none;
  }
  .units button {
    padding-inline: 12px;
  }
  .frame:not(.bench) {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 1fr) auto;
  }
  .frame:not(.bench) > :first-child {
    order: 2;
  }
  .top,
  main {
    padding-inline: 16px;
  }
}
@media (max-width: 360px) {
  .top {
    gap: 8px;
  }
  .units button {
    padding-inline: 8px;
  }
}
</style>
