<script setup lang="ts">
import DeviceList from '@/features/upkeep/DeviceList.vue'
import StoreHealth from '@/features/upkeep/StoreHealth.vue'
import { useMe } from '@/shared/api/useMe'

/** What keeps the shop's records safe for years: devices, store, copies. */
const { me, isHost } = useMe()
</script>

<template>
  <div class="upkeep">
    <h1>Upkeep</h1>
    <template v-if="isHost">
      <DeviceList />
      <StoreHealth />
    </template>
    <p v-else-if="me">
      {{
        me.role === 'onlooker'
          ? `This device is ${me.name} and can view only.`
          : `This device is ${me.name} and can record and change.`
      }}
      Manage devices on the computer that runs Conch (the host).
    </p>
  </div>
</template>

<style scoped>
.upkeep {
  display: grid;
  gap: 24px;
}
</style>
