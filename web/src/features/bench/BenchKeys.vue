<script setup lang="ts">
import { VMenu } from 'vuetify/components/VMenu'
import { VSheet } from 'vuetify/components/VSheet'

import type { BenchNow } from '@/features/bench/projected'
import { useMe } from '@/shared/api/useMe'
import TabletCode from '@/shared/controls/TabletCode.vue'
import { turnUnits, useUnits } from '@/shared/figures/useUnits'
import { useShopTheme } from '@/shared/state/useShopTheme'

/** The thumb-wide row under everything: what can be done at any step. */
defineProps<{ bench: BenchNow; open: boolean; gated: boolean; gauging: boolean; closed: string }>()
const emit = defineEmits<{
  back: []
  undo: []
  note: []
  why: []
  lost: []
  instruments: []
}>()
const { unit } = useUnits()
const { me, isHost } = useMe()
const theme = useShopTheme(() => true)
</script>

<template>
  <div class="row">
    <button v-if="open" type="button" class="key" @click="emit('back')">step back <kbd>k</kbd></button>
    <span v-if="open && closed" class="just" role="note" aria-label="Just done">✓ {{ closed }}</span>
    <button v-if="open" type="button" class="key" @click="emit('undo')">undo <kbd>z</kbd></button>
    <button v-if="open" type="button" class="key" @click="emit('note')">note <kbd>n</kbd></button>
    <button type="button" class="key" @click="turnUnits">{{ unit }} <kbd>u</kbd></button>
    <button type="button" class="key" @click="theme.toggle()">
      {{ theme.name() === 'shell' ? 'dark screen' : 'light screen' }}
    </button>
    <button v-if="open && bench.step && !gated" type="button" class="key" @click="emit('why')">
      {{ gauging && !bench.verdict ? 'accept ungauged, or scrap' : 'accept, redo or scrap' }}
    </button>
    <button
      v-if="open && bench.step && !gated && !bench.zero"
      type="button"
      class="key"
      @click="emit('lost')"
    >
      tool zeros lost
    </button>
    <button v-if="open" type="button" class="key" @click="emit('instruments')">instruments</button>
    <v-menu v-if="open && isHost && me?.network" location="top">
      <template #activator="{ props: menu }">
        <button type="button" class="key" v-bind="menu">open on a tablet</button>
      </template>
      <v-sheet class="code">
        <TabletCode :path="`/jobs/${bench.id}/bench`" what="this bench" />
      </v-sheet>
    </v-menu>
    <router-link
      class="key"
      :to="{ name: 'plan', params: { id: bench.id }, query: bench.part > 1 ? { part: bench.part } : {} }"
      >plan <kbd>p</kbd></router-link
    >
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
}
.key {
  border: 0;
  background: none;
  color: var(--muted);
  padding: 12px 14px 12px 0;
  min-height: 48px;
  cursor: pointer;
  text-decoration: none;
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.just {
  align-self: center;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  color: var(--good);
}
.code {
  padding: 8px 18px;
  border: 1px solid var(--line);
  border-radius: 8px;
}
.key:hover {
  color: var(--lagoon);
}
@media (max-width: 1100px) {
  .row {
    gap: 6px;
  }
  .key {
    padding-right: 8px;
  }
}
@media (max-width: 520px) {
  .key {
    padding: 8px 8px 8px 0;
    min-height: 40px;
  }
}
</style>
