<script setup lang="ts">
import { VProgressCircular } from 'vuetify/components/VProgressCircular'

/** A button that sends: while the answer is on its way it turns a ring, which has a name for those who cannot see it. */
defineProps<{ busy: boolean }>()
</script>

<template>
  <v-btn :loading="busy">
    <slot />
    <template #loader>
      <VProgressCircular indeterminate width="2" aria-label="Sending" />
    </template>
  </v-btn>
</template>
