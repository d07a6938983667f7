<script setup lang="ts">
import { computed, ref } from 'vue'

import EmptyShell from '@/shared/controls/EmptyShell.vue'
import DrawerBox from '@/features/shop/DrawerBox.vue'
import ShopAdd from '@/features/shop/ShopAdd.vue'
import ThingPage from '@/features/shop/ThingPage.vue'
import { useKit } from '@/features/shop/useKit'

/** The shop: drawers with what lies in them, the chosen thing in full beside them. */
const { data, error, things, drawers, add, change, retire: takeOut } = useKit()
const chosen = ref('')
const thing = computed(() => things.value.find((one) => one.id === chosen.value))
const gone = ref<{ id: string; name: string } | null>(null)
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
    <h1>Shop</h1>
    <p v-if="error" class="field-error" role="alert">{{ error.message }}</p>
    <p v-if="gone" role="status">{{ gone.name }}: taken out. <plain-btn @click="back">Undo</plain-btn></p>
    <div class="halves">
      <div class="left">
        <ShopAdd :add="add" />
        <DrawerBox
          v-for="drawer in drawers"
          :key="drawer.name"
          :name="drawer.name"
          :inside="drawer.inside"
          :chosen="chosen"
          @choose="chosen = $event"
        />
        <EmptyShell v-if="data && !things.length">
          Nothing is in the shop yet. Type what you have: a set, a rack or a single die is one line.
        </EmptyShell>
      </div>
      <div class="right">
        <ThingPage
          v-if="thing"
          :key="thing.id"
          :thing="thing"
          :change="(said) => change(thing!, said)"
          @retire="retire"
        />
        <p v-else-if="things.length" class="muted">Press a thing to see it in full.</p>
      </div>
    </div>
  </div>
</template>

<style scoped>
.shop {
  display: grid;
  gap: 14px;
  max-width: 1280px;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 24px;
  align-items: start;
}
.left {
  display: grid;
  gap: 14px;
}
.right {
  position: sticky;
  top: 12px;
}
@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
  .right {
    position: static;
    order: -1;
  }
}
</style>
