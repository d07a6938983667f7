<script setup lang="ts">
/** Figures, fractions of an inch and units under the thumb: the keyboard of the device need not come up. */
const props = defineProps<{ field: HTMLInputElement | null }>()
/** What each key types, row by row; the first of the last column takes one back. */
const BACK = 'back'
const KEYS = [
  ['7', '8', '9', BACK],
  ['4', '5', '6', '/'],
  ['1', '2', '3', '-'],
  ['0', '.', ' in', ' mm'],
] as const
type Pressed = (typeof KEYS)[number][number]
const NAMES: Partial<Record<Pressed, string>> = {
  [BACK]: 'Delete the last character',
  '/': 'Fraction bar',
  '-': 'Minus, or between a whole number and its fraction',
  '.': 'Decimal point',
}
const SHOWN: Partial<Record<Pressed, string>> = { [BACK]: '⌫', '/': '⁄', '-': '−' }

function press(key: Pressed) {
  const { field } = props
  if (!field) return
  const end = field.selectionEnd ?? field.value.length
  const start = field.selectionStart ?? end
  if (key !== BACK) field.setRangeText(key, start, end, 'end')
  else field.setRangeText('', start === end ? Math.max(0, start - 1) : start, end, 'end')
  field.dispatchEvent(new Event('input', { bubbles: true }))
}
</script>

<template>
  <!-- The field keeps the focus: what is pressed goes where it stands. -->
  <div class="pad" role="group" aria-label="Number pad" @pointerdown.prevent>
    <template v-for="row in KEYS" :key="row[0]">
      <v-btn
        v-for="key in row"
        :key="key"
        class="fig"
        variant="outlined"
        tabindex="-1"
        :aria-label="NAMES[key]"
        @click="press(key)"
        >{{ SHOWN[key] ?? key.trim() }}</v-btn
      >
    </template>
  </div>
</template>

<style scoped>
.pad {
  flex: 1 1 100%;
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 4px;
}
.pad .v-btn.v-btn {
  height: 56px;
  min-width: 0;
  font-size: var(--s28);
  font-family: var(--figures);
  border-color: var(--line);
}
.pad .v-btn.v-btn:nth-child(n + 15) {
  font-size: var(--s20);
}
</style>
