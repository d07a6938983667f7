<script setup lang="ts">
import ShellMark from '@/shared/theme/ShellMark.vue'
</script>

<template>
  <div class="empty">
    <ShellMark class="shell" quiet />
    <p><slot /></p>
  </div>
</template>

<style scoped>
.empty {
  display: grid;
  justify-items: center;
  gap: 16px;
  padding: 48px 0;
  color: var(--muted);
}
.shell {
  width: 96px;
}
</style>
