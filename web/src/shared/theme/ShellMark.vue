<script setup lang="ts">
import { useId } from 'vue'

/** The mark: a conch from the side, spire, whorls and lip, in two tones; `quiet` for an empty place. */
defineProps<{ quiet?: boolean; label?: string }>()
const seams = useId()
</script>

<template>
  <svg
    class="mark"
    :class="{ quiet }"
    viewBox="0 0 64 64"
    :role="label ? 'img' : undefined"
    :aria-label="label"
    :aria-hidden="label ? undefined : true"
  >
    <mask :id="seams">
      <path fill="#fff" d="M0 0H64V64H0Z" />
      <path
        class="seams"
        d="M7.5 11.6C11 11.8 15 10.5 18.5 12.2M10.3 18.6C16 19.2 23 15 29.3 17.6M14.2 28.2C22 29 32 19 44.4 21"
      />
    </mask>
    <path
      class="whorls"
      :mask="`url(#${seams})`"
      d="M5.5 8.5C6.5 6 9.5 5.5 11.5 7.2C15.5 6.5 18.5 8.6 19 12C24 10.6 28.5 13 29.7 17.2C34.5 15 40.5 16 44.5 20.5C53 24.5 59 33 58.5 41C58 46.5 54.5 50 49 51.5C42 53.5 33.5 57 24.5 60.3C22 61.2 20 59.3 20.8 56.8C22.5 51.5 21.5 46.5 18 41.5C13 38.5 11.5 32.5 13.7 28C9.8 26 8.3 22 9.8 18.3C6.8 17 5.6 14 6.9 11.3C5.6 10.7 5.1 9.6 5.5 8.5Z"
    />
    <path
      class="lip"
      d="M27.5 55.5C27 48.5 29 42 34 37.2C39.5 32 47 31.5 52.5 35.6C55 39.5 55 43.5 52 46C48.5 48.8 42.5 49.8 37.5 51.5C33.5 52.9 30.5 54.3 27.5 55.5Z"
    />
  </svg>
</template>

<style scoped>
.whorls {
  fill: var(--lagoon);
}
.lip {
  fill: var(--coral);
}
.seams {
  fill: none;
  stroke: #000;
  stroke-width: 2.4;
  stroke-linecap: round;
}
.quiet .whorls {
  fill: var(--line);
}
.quiet .lip {
  fill: var(--quiet);
}
</style>
