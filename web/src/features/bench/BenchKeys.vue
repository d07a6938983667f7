<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { VMenu } from 'vuetify/components/VMenu'
import { VSheet } from 'vuetify/components/VSheet'

import BenchMore from '@/features/bench/BenchMore.vue'
import type { BenchNow } from '@/features/bench/projected'
import type { usePedal } from '@/features/bench/usePedal'
import { useMe } from '@/shared/api/useMe'
import TabletCode from '@/shared/controls/TabletCode.vue'
import { turnUnits, useUnits } from '@/shared/figures/useUnits'
import { useNarrow } from '@/shared/state/useScreen'
import { useShopTheme } from '@/shared/state/useShopTheme'

/** The thumb-wide row under everything: what can be done at any step. */
const props = defineProps<{
  bench: BenchNow
  open: boolean
  gated: boolean
  gauging: boolean
  closed: string
  foot: ReturnType<typeof usePedal>
  sleeps: boolean
}>()
const leftHanded = defineModel<boolean>('leftHanded', { required: true })
/** The drawing, the readings and the notes, where there is no room for them unasked. */
const details = defineModel<boolean>('details', { required: true })
const emit = defineEmits<{
  back: []
  undo: []
  note: []
  why: []
  act: [kind: 'pause' | 'zero-lost']
  instruments: []
}>()
const { unit } = useUnits()
const { me, isHost } = useMe()
const theme = useShopTheme(() => true)
const narrow = useNarrow()
const router = useRouter()
const { pedal, learning, refused } = props.foot
const to = computed(() => ({
  name: 'plan',
  params: { id: props.bench.id },
  query: props.bench.part > 1 ? { part: props.bench.part } : {},
}))
/** What a phone has under More. */
const second = computed(() => {
  const { open, gated, gauging, bench } = props
  const atStep = open && bench.step && !gated
  return [
    { label: `units: ${unit.value}`, run: turnUnits, shown: narrow.value },
    { label: theme.name() === 'shell' ? 'dark screen' : 'light screen', run: theme.toggle, shown: true },
    {
      label: gauging && !bench.verdict ? 'accept ungauged, or scrap' : 'accept, redo or scrap',
      run: () => emit('why'),
      shown: atStep,
    },
    { label: 'tool zeros lost', run: () => emit('act', 'zero-lost'), shown: atStep && !bench.zero },
    { label: 'pause', run: () => emit('act', 'pause'), shown: atStep && !bench.paused },
    { label: 'instruments', run: () => emit('instruments'), shown: open },
    { label: 'plan', run: () => void router.push(to.value), shown: narrow.value },
  ].filter((one) => one.shown)
})
</script>

<template>
  <div class="row keys">
    <button v-if="open" type="button" class="key" @click="emit('back')">step back <kbd>k</kbd></button>
    <button v-if="open" type="button" class="key" @click="emit('undo')">undo <kbd>z</kbd></button>
    <span v-if="open && closed" class="just" role="note" aria-label="Just done">✓ {{ closed }}</span>
    <button v-if="open" type="button" class="key" @click="emit('note')">note <kbd>n</kbd></button>
    <button
      v-if="narrow && bench.step && !gated"
      type="button"
      class="key"
      :aria-expanded="details"
      @click="details = !details"
    >
      {{ details ? 'less' : 'details' }}
    </button>
    <template v-if="!narrow">
      <button type="button" class="key" @click="turnUnits">{{ unit }} <kbd>u</kbd></button>
      <button v-for="act in second" :key="act.label" type="button" class="key" @click="act.run">
        {{ act.label }}
      </button>
      <v-menu v-if="open && isHost && me?.network" location="top">
        <template #activator="{ props: menu }">
          <button type="button" class="key" v-bind="menu">open on a tablet</button>
        </template>
        <v-sheet class="code">
          <TabletCode :path="`/jobs/${bench.id}/bench`" what="this bench" />
        </v-sheet>
      </v-menu>
    </template>
    <BenchMore
      v-model:left-handed="leftHanded"
      v-model:learning="learning"
      v-model:pedal="pedal"
      :acts="narrow ? second : []"
      :refused="refused"
      :sleeps="sleeps"
    />
    <router-link v-if="!narrow" class="key" :to="to">plan <kbd>p</kbd></router-link>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
}
.row :deep(.key) {
  border: 0;
  background: none;
  color: var(--muted);
  padding: 12px 16px 12px 0;
  min-height: 48px;
  cursor: pointer;
  text-decoration: none;
  display: inline-flex;
  align-items: center;
  gap: 4px;
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
  padding: 8px 16px;
  border: 1px solid var(--line);
  border-radius: var(--round);
}
.row :deep(.key:hover) {
  color: var(--lagoon);
}
@media (max-width: 1100px) {
  .row {
    gap: 4px;
  }
  .row :deep(.key) {
    padding-right: 8px;
  }
}
@media (pointer: coarse) {
  .row :deep(.key) {
    min-height: 56px;
  }
}
/* A phone: a row of five, what was just done above them. */
@media (max-width: 600px) {
  .row {
    justify-content: space-between;
    gap: 0 8px;
  }
  .just {
    order: -1;
    flex: 1 0 100%;
  }
}
</style>
