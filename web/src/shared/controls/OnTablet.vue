<script setup lang="ts">
import { ref } from 'vue'

import { useMe } from '@/shared/api/useMe'
import TabletCode from '@/shared/controls/TabletCode.vue'

/** A page of this server for a tablet; nothing where only this machine is served. */
defineProps<{ path: string; what: string }>()
const { me } = useMe()
const open = ref(false)
</script>

<template>
  <span v-if="me?.network">
    <plain-btn :aria-expanded="open" @click="open = !open">Open on a tablet</plain-btn>
    <TabletCode v-if="open" :path="path" :what="what" />
  </span>
</template>
