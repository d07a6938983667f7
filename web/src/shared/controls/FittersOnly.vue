<script setup lang="ts">
import { useMe } from '@/shared/api/useMe'

/** What changes something: not there on a device that looks on. */
const { looksOnly } = useMe()
</script>

<template><slot v-if="!looksOnly" /></template>
