<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'

import { ask, client } from '@/shared/api/client'
import { useMe } from '@/shared/api/useMe'
import CodePicture from '@/shared/controls/CodePicture.vue'

/** A page of this server for the camera of a tablet; nothing where only this machine is served. */
const props = defineProps<{ path: string; what: string }>()
const { me } = useMe()
const open = ref(false)
const { data: place } = useQuery({
  queryKey: ['place', () => props.path],
  queryFn: () => ask(client.GET('/api/place', { params: { query: { path: props.path } } })),
  enabled: open,
})
</script>

<template>
  <span v-if="me?.network" class="tablet">
    <plain-btn :aria-expanded="open" @click="open = !open">On a tablet</plain-btn>
    <span v-if="open && place?.picture" class="place">
      <CodePicture :picture="place.picture" :label="`Picture of ${place.address}`" />
      <span>
        Point the tablet's camera here: it opens {{ what }}.<br />
        <span class="fig small">{{ place.address }}</span>
      </span>
    </span>
  </span>
</template>

<style scoped>
.place {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: center;
  padding: 10px 0;
}
.place :deep(.code) {
  width: 180px;
}
</style>
