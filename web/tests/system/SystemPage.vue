<script setup lang="ts">
import { ref } from 'vue'
import { VBtnToggle } from 'vuetify/components/VBtnToggle'
import { VCheckbox } from 'vuetify/components/VCheckbox'
import { VSelect } from 'vuetify/components/VSelect'

import BusyButton from '@/shared/controls/BusyButton.vue'
import CautionLine from '@/shared/controls/CautionLine.vue'
import EmptyShell from '@/shared/controls/EmptyShell.vue'
import InlineField from '@/shared/controls/InlineField.vue'
import ThreadBar from '@/shared/controls/ThreadBar.vue'
import PartDrawing from '@/shared/drawing/PartDrawing.vue'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { CAUTIONS, FIGURES, SHEET } from './samples'

/** Everything that pages are made of, each once: what is photographed and compared. */
const TYPE = ['s14', 's16', 's20', 's28', 's44']
const SPACE = [4, 8, 12, 16, 24, 32, 48]
const COLOURS = ['ground', 'surface', 'quiet', 'metal', 'line', 'ink', 'muted', 'lagoon', 'coral']
const SAYS = ['good', 'caution', 'stop']
const unit = ref('in')
const typed = ref('')
const value = ref('5/8')
const wrong = { field: 'thread', code: 'unknown', message: 'No such thread.', choices: [] }
</script>

<template>
  <v-app>
    <main>
      <h1>The system of look</h1>
      <section class="type">
        <p v-for="size in TYPE" :key="size" :style="{ fontSize: `var(--${size})` }">
          Turn to <span class="fig">0.4929</span>
        </p>
      </section>
      <section class="line">
        <span v-for="gap in SPACE" :key="gap" class="gap" :style="{ width: `${gap}px` }"></span>
        <span
          v-for="colour in [...COLOURS, ...SAYS]"
          :key="colour"
          class="colour"
          :style="{ background: `var(--${colour})` }"
        ></span>
        <b v-for="colour in SAYS" :key="colour" :style="{ color: `var(--${colour})` }">{{ colour }}</b>
      </section>
      <section class="line">
        <v-btn color="secondary">The next act</v-btn>
        <v-btn variant="outlined">Another act</v-btn>
        <plain-btn>In passing</plain-btn>
        <a href="#shell">Goes somewhere</a>
        <v-btn-toggle v-model="unit" mandatory color="primary" variant="outlined" aria-label="Unit">
          <v-btn value="in">in</v-btn>
          <v-btn value="mm">mm</v-btn>
        </v-btn-toggle>
        <v-checkbox :model-value="true" label="Chosen" />
        <kbd>z</kbd>
      </section>
      <section class="line fields">
        <v-text-field v-model="typed" label="Thread" placeholder="e.g. 3/8-16" persistent-placeholder />
        <v-text-field model-value="3/8-17" label="Thread" error-messages="No such thread." />
        <v-select :model-value="'brass'" :items="['brass', 'mild steel']" label="Material" />
        <p class="line">
          from round bar <InlineField v-model="value" label="Bar" figure /> of
          <InlineField v-model="value" label="Thread" figure :error="wrong" />
        </p>
      </section>
      <section class="line">
        <BusyButton :busy="false" color="secondary" size="x-large">Record</BusyButton>
        <details>
          <summary>Why this step</summary>
          The die starts square.
        </details>
      </section>
      <section><FigureRow :figures="FIGURES" :most="5" /></section>
      <CautionLine :cautions="CAUTIONS" />
      <section class="bars">
        <ThreadBar :total="60" :done="24" :now="1" :pieces="6" label="Two pieces of six" />
        <ThreadBar :total="400" :done="120" :pieces="40" label="Twelve pieces of forty" />
      </section>
      <section class="drawing"><PartDrawing :sheet="SHEET" step="turn" /></section>
      <EmptyShell>Nothing here yet.</EmptyShell>
    </main>
  </v-app>
</template>

<style scoped>
main {
  width: 1148px;
  display: grid;
  gap: 24px;
  padding: 24px;
}
.type,
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  align-items: center;
}
.gap {
  height: 24px;
  background: var(--lagoon);
}
.colour {
  width: 48px;
  height: 24px;
  border: 1px solid var(--line);
  border-radius: var(--tight);
}
.fields {
  align-items: flex-start;
}
.fields > :deep(.v-input) {
  flex: 0 0 232px;
}
.bars {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
}
.drawing {
  max-width: 560px;
}
</style>
