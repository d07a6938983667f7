<script setup lang="ts">
import EmptyShell from '@/shared/controls/EmptyShell.vue'
</script>

<template>
  <EmptyShell>There is no page at this address. <router-link to="/">Back to Jobs</router-link></EmptyShell>
</template>
