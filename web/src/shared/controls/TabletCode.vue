<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'

import { ask, client } from '@/shared/api/client'
import CodePicture from '@/shared/controls/CodePicture.vue'

/** A page of this server as a picture for the camera of a tablet. */
const props = defineProps<{ path: string; what: string }>()
const { data: place } = useQuery({
  queryKey: ['place', () => props.path],
  queryFn: () => ask(client.GET('/api/place', { params: { query: { path: props.path } } })),
})
</script>

<template>
  <span v-if="place?.picture" class="place">
    <CodePicture :picture="place.picture" :label="`QR code for ${place.address}`" />
    <span>
      Scan this code with the tablet to open {{ what }}.<br />
      <span class="fig small">{{ place.address }}</span>
    </span>
  </span>
</template>

<style scoped>
.place {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  padding: 8px 0;
}
.place .fig {
  overflow-wrap: anywhere;
}
.place > * {
  min-width: 0;
}
.place :deep(.code) {
  width: 180px;
}
</style>
