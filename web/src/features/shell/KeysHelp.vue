<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'

import { activeKeys } from '@/shared/state/useKeys'

const emit = defineEmits<{ close: [] }>()
const closer = ref<{ $el: HTMLElement }>()
/** The newest meaning of each key that acts here. */
const keys = computed(() => [...new Map(activeKeys.map((key) => [key.key, key])).values()])
onMounted(() => closer.value?.$el.focus())
</script>

<template>
  <aside class="keys" aria-label="Keyboard shortcuts on this page" @keydown.esc="emit('close')">
    <h2>Keyboard shortcuts on this page</h2>
    <dl>
      <template v-for="key in keys" :key="key.key">
        <dt>
          <kbd>{{ key.key }}</kbd>
        </dt>
        <dd>{{ key.label }}</dd>
      </template>
    </dl>
    <p>
      <router-link :to="{ name: 'help' }" @click="emit('close')">What the words and figures mean</router-link>
    </p>
    <plain-btn ref="closer" @click="emit('close')">Close</plain-btn>
  </aside>
</template>

<style scoped>
.keys {
  position: fixed;
  right: 24px;
  bottom: 24px;
  z-index: 8;
  background: var(--surface);
  border: 2px solid var(--lagoon);
  border-radius: var(--round);
  padding: 16px 24px;
  min-width: 260px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px 16px;
  margin: 12px 0;
}
</style>
