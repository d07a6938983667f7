<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { useRoute } from 'vue-router'

import WaitingSign from '@/shared/controls/WaitingSign.vue'
import EmptyShell from '@/shared/controls/EmptyShell.vue'
import DrawerBox from '@/features/shop/DrawerBox.vue'
import ShopAdd from '@/features/shop/ShopAdd.vue'
import ShopExamples from '@/features/shop/ShopExamples.vue'
import ShopFiles from '@/features/shop/ShopFiles.vue'
import ThingPage from '@/features/shop/ThingPage.vue'
import WhatICut from '@/features/shop/WhatICut.vue'
import { type Thing, useKit } from '@/features/shop/useKit'
import { useMe } from '@/shared/api/useMe'

/** The shop: drawers with what lies in them, the chosen thing in full beside them. */
const { data, error, things, drawers, add, change, again, retire: takeOut } = useKit()
const route = useRoute()
const { looksOnly } = useMe()
/** One that another page speaks of is opened at once. */
const chosen = ref(String(route.query.thing ?? ''))
const typed = ref('')
/** What holds every word that is typed in a line, in its name, place, notes or state. */
const matching = computed(() => {
  const words = typed.value.toLowerCase().split(/\s+/).filter(Boolean)
  if (!words.length || /[\n;]/.test(typed.value.trim())) return []
  const holds = (one: Thing) => {
    const text = `${one.name} ${one.drawer} ${one.notes} ${one.condition}`.toLowerCase()
    return words.every((word) => text.includes(word))
  }
  return drawers.value
    .map(({ name, inside }) => ({ name, inside: inside.filter(holds) }))
    .filter(({ inside }) => inside.length)
})
const has = (kinds: string[]) => (inside: Thing[]) => inside.filter((one) => kinds.includes(one.kind)).length
const dies = has(['die'])
const rods = has(['tap', 'drill', 'reamer'])
/** Boxes of dies, the fullest first, so that few rows hold them; then racks, then what has a name alone. Where nothing is
 * found, what is typed is something new: all that there is stays in sight. */
const shown = computed(() =>
  [...(matching.value.length ? matching.value : drawers.value)].sort(
    (one, other) =>
      dies(other.inside) - dies(one.inside) || Number(rods(other.inside) > 0) - Number(rods(one.inside) > 0),
  ),
)
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
      <ShopAdd
        v-model="typed"
        :add="add"
        :lathes="things.filter((one) => one.kind === 'lathe').length"
        :found="matching.length > 0"
      />
      <nav aria-label="About the shop">
        <plain-btn v-if="things.length" :aria-pressed="!chosen" @click="chosen = ''"
          >Threads I can cut</plain-btn
        >
        <router-link :to="{ name: 'holders' }">Design a holder</router-link>
      </nav>
    </header>
    <p v-if="error" class="field-error" role="alert">{{ error.message }}</p>
    <p v-if="gone" role="status">Removed: {{ gone.name }}. <plain-btn @click="back">Undo</plain-btn></p>
    <div class="halves">
      <div class="left">
        <DrawerBox
          v-for="drawer in shown"
          :key="drawer.name"
          :name="drawer.name"
          :inside="drawer.inside"
          :chosen="chosen"
          :opened="matching.length > 0"
          @choose="choose"
        />
        <div class="foot">
          <ShopFiles :add="add" :things="things" />
          <ShopExamples v-if="!looksOnly" />
        </div>
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
  display: grid;
  grid-template-columns: auto minmax(240px, 460px) 1fr;
  gap: 8px 24px;
  align-items: center;
}
nav {
  grid-column: 3;
  grid-row: 1;
  display: flex;
  justify-content: flex-end;
  align-items: baseline;
  gap: 24px;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 24px;
  align-items: start;
}
.left {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
}
.foot {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  padding-top: 4px;
  border-top: 1px solid var(--line);
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
  .head {
    grid-template-columns: auto 1fr;
  }
  .head :deep(.field) {
    grid-column: 1 / -1;
  }
  nav {
    grid-column: 2;
  }
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
