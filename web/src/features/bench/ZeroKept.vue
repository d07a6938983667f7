<script setup lang="ts">
import BusyButton from '@/shared/controls/BusyButton.vue'

/** Whether this lathe's tools keep their zero, asked once, at the first tool that is touched off. */
defineProps<{ busy: boolean }>()
const emit = defineEmits<{ keeps: [how: 'kept' | 'each'] }>()
</script>

<template>
  <div class="keeps" role="group" aria-label="Tool zeros">
    <p>When you change tools and change back, is the first tool's zero still good?</p>
    <BusyButton color="secondary" size="x-large" :busy="busy" @click="emit('keeps', 'kept')"
      >Touched off. The zero stays good.</BusyButton
    >
    <BusyButton
      color="secondary"
      variant="outlined"
      size="x-large"
      :busy="busy"
      @click="emit('keeps', 'each')"
      >Touched off. I touch off every time.</BusyButton
    >
  </div>
</template>

<style scoped>
.keeps {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
</style>
