<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { useRoute } from 'vue-router'

import WaitingSign from '@/shared/controls/WaitingSign.vue'
import EmptyShell from '@/shared/controls/EmptyShell.vue'
import DrawerBox from '@/features/shop/DrawerBox.vue'
import ShopAdd from '@/features/shop/ShopAdd.vue'
import ShopFiles from '@/features/shop/ShopFiles.vue'
import ThingPage from '@/features/shop/ThingPage.vue'
import WhatICut from '@/features/shop/WhatICut.vue'
import { type Thing, useKit } from '@/features/shop/useKit'
import FittersOnly from '@/shared/controls/FittersOnly.vue'

/** The shop: drawers with what lies in them, the chosen thing in full beside them. */
const { data, error, things, drawers, add, change, again, retire: takeOut } = useKit()
const route = useRoute()
/** One that another page speaks of is opened at once. */
const chosen = ref(String(route.query.thing ?? ''))
/** Fewer than these are seen at once. */
const MANY = 12
const wanted = ref('')
/** What holds every word that is looked for, in its name, place, notes or state. */
const shown = computed(() => {
  const words = wanted.value.toLowerCase().split(/\s+/).filter(Boolean)
  const holds = (one: Thing) => {
    const text = `${one.name} ${one.drawer} ${one.notes} ${one.condition}`.toLowerCase()
    return words.every((word) => text.includes(word))
  }
  return drawers.value
    .map(({ name, inside }) => ({ name, inside: inside.filter(holds) }))
    .filter(({ inside }) => inside.length)
})
const thing = computed(() => things.value.find((one) => one.id === chosen.value))
const gone = ref<{ id: string; name: string } | null>(null)
const page = ref<HTMLElement>()
/** Where there is no room beside the drawers the thing stands above them: it is brought into sight. */
async function choose(id: string) {
  chosen.value = id
  await nextTick()
  page.value?.scrollIntoView({ block: 'nearest' })
}
async function retire() {
  if (!thing.value) return
  const { id, name } = thing.value
  await takeOut(id)
  gone.value = { id, name }
}
async function back() {
  if (!gone.value) return
  await takeOut(gone.value.id, true)
  chosen.value = gone.value.id
  gone.value = null
}
</script>

<template>
  <div class="shop">
    <header class="head">
      <h1>Shop</h1>
      <plain-btn v-if="things.length" :aria-pressed="!chosen" @click="chosen = ''"
        >Threads I can cut</plain-btn
      >
      <router-link :to="{ name: 'holders' }">Design a holder</router-link>
    </header>
    <p v-if="error" class="field-error" role="alert">{{ error.message }}</p>
    <p v-if="gone" role="status">Removed: {{ gone.name }}. <plain-btn @click="back">Undo</plain-btn></p>
    <div class="halves">
      <div class="left">
        <FittersOnly
          ><ShopAdd :add="add" :lathes="things.filter((one) => one.kind === 'lathe').length"
        /></FittersOnly>
        <v-text-field
          v-if="things.length > MANY"
          v-model="wanted"
          label="Search the shop"
          placeholder="e.g. bsw worn"
          maxlength="100"
          autocomplete="off"
        />
        <p v-if="things.length && !shown.length" class="muted">Nothing found. Try fewer words.</p>
        <DrawerBox
          v-for="drawer in shown"
          :key="drawer.name"
          :name="drawer.name"
          :inside="drawer.inside"
          :chosen="chosen"
          @choose="choose"
        />
        <ShopFiles :add="add" :things="things" />
        <WaitingSign v-if="!data && !error" what="the shop" />
        <EmptyShell v-if="data && !things.length">
          Your shop is empty. Type what you own, one line for each set, rack or single tool.
        </EmptyShell>
      </div>
      <div ref="page" class="right">
        <ThingPage
          v-if="thing"
          :key="thing.id"
          :thing="thing"
          :change="(said) => change(thing!, said)"
          @retire="retire"
          @changed="again"
        />
        <WhatICut v-else-if="things.length" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.shop {
  display: grid;
  gap: 12px;
  max-width: 1280px;
}
.head {
  display: flex;
  gap: 24px;
  align-items: baseline;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 24px;
  align-items: start;
}
.left {
  display: grid;
  gap: 8px;
}
/* Always within the window: what is chosen is seen whole, however long the drawers are. */
.right {
  position: sticky;
  top: 8px;
  max-height: calc(100vh - 16px);
  overflow-y: auto;
  scrollbar-width: thin;
}
@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
  .right {
    position: static;
    max-height: none;
  }
  .right:has(.page) {
    order: -1;
  }
}
</style>
