<script setup lang="ts">
import { useNews } from '@/shared/api/useNews'

/** Listens for as long as it stands on the page; nothing is seen of it. */
useNews()
</script>

<template><span hidden></span></template>
