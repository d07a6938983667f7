<template>
  <div class="empty">
    <svg viewBox="0 0 40 40" aria-hidden="true">
      <path
        d="M20 36C10 36 4 29 4 20S11 4 20 4s15 6 15 14-6 13-13 13-11-4-11-10 4-9 9-9 8 3 8 7-3 6-6 6-4-2-4-4"
      />
    </svg>
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
svg {
  width: 96px;
  fill: none;
  stroke: var(--line);
  stroke-width: 2;
  stroke-linecap: round;
}
</style>
