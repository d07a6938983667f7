<script setup lang="ts">
import EmptyShell from '@/shared/controls/EmptyShell.vue'
</script>

<template>
  <EmptyShell
    >There is nothing at this address. <router-link to="/">Back to the jobs</router-link></EmptyShell
  >
</template>
