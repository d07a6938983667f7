<script setup lang="ts">
import { VMenu } from 'vuetify/components/VMenu'
import { VSheet } from 'vuetify/components/VSheet'
import { VSwitch } from 'vuetify/components/VSwitch'

import { aloud } from '@/features/bench/aloud'
import { keepable } from '@/shared/state/installed'

/** What is set once at a bench, and what is done seldom: off the row, away from Undo. */
const leftHanded = defineModel<boolean>('leftHanded', { required: true })
const learning = defineModel<boolean>('learning', { required: true })
const pedal = defineModel<string>('pedal', { required: true })
defineProps<{ acts: readonly { label: string; run: () => void }[]; refused: string; sleeps: boolean }>()

const speaks = 'speechSynthesis' in window
</script>

<template>
  <v-menu location="top" :close-on-content-click="false" @update:model-value="learning = false">
    <template #activator="{ props: menu }">
      <button type="button" class="key" v-bind="menu">more</button>
    </template>
    <v-sheet class="more" role="group" aria-label="More at the bench">
      <button v-for="act in acts" :key="act.label" type="button" class="act" @click="act.run">
        {{ act.label }}
      </button>
      <router-link class="act" :to="{ name: 'help' }">Help: what the words and figures mean</router-link>
      <v-switch v-if="speaks" v-model="aloud" label="Speak figures and counts" hide-details color="primary" />
      <p v-else class="muted">This browser has no voice to speak the figures with.</p>
      <v-switch v-model="leftHanded" label="Left-handed layout" hide-details color="primary" />
      <p v-if="learning" role="status">
        Press the foot switch once. Press Escape to cancel.
        <span v-if="refused" class="field-error">{{ refused }}</span>
      </p>
      <template v-else-if="pedal">
        <p>Foot switch ({{ pedal }}): press for the large button, hold to undo.</p>
        <plain-btn @click="pedal = ''">Remove the foot switch</plain-btn>
      </template>
      <plain-btn v-else @click="learning = true">Set up a foot switch</plain-btn>
      <p class="muted small">
        {{
          sleeps
            ? 'The screen may go dark: this browser cannot keep it on here. Set a longer screen timeout on the device.'
            : 'The screen stays on while the bench is open.'
        }}
        <template v-if="!keepable">
          This page opens only while Conch answers: over plain http a browser keeps nothing. With a
          certificate of your own it does; Help says how.
        </template>
      </p>
    </v-sheet>
  </v-menu>
</template>

<style scoped>
.more {
  display: grid;
  gap: 4px;
  justify-items: start;
  max-width: 340px;
  padding: 8px 16px 12px;
  border: 1px solid var(--line);
  border-radius: var(--round);
}
.act,
.more .plain {
  min-height: 48px;
}
.act {
  border: 0;
  background: none;
  padding: 0;
  display: inline-flex;
  align-items: center;
  cursor: pointer;
  text-align: left;
}
.act:hover {
  color: var(--lagoon);
}
</style>
