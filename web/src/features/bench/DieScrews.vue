<script setup lang="ts">
/** The three screws of the holder round its split die, seen from the front: which are slackened, which go in. */
defineProps<{ middle: 'in' | 'out' }>()
const SCREWS = [
  { at: -42, middle: false },
  { at: 0, middle: true },
  { at: 42, middle: false },
] as const
</script>

<template>
  <svg
    viewBox="0 0 170 150"
    role="img"
    :aria-label="
      middle === 'out'
        ? 'Slacken the middle screw, tighten the two outer screws: the die closes.'
        : 'Slacken the two outer screws, tighten the middle screw: the die opens.'
    "
  >
    <g transform="translate(85 92)">
      <circle r="52" class="die" />
      <circle r="17" class="bore" />
      <path d="M-2.5 -51V-16M2.5 -51V-16" class="split" />
      <g v-for="screw in SCREWS" :key="screw.at" :transform="`rotate(${screw.at})`">
        <path :d="screw.middle ? 'M-6 -86H6V-60L0 -50L-6 -60Z' : 'M-6 -86H6V-54H-6Z'" class="screw" />
        <path
          class="way"
          :class="(middle === 'in') === screw.middle ? 'in' : 'out'"
          :d="
            (middle === 'in') === screw.middle
              ? 'M13 -86V-64M8 -70L13 -62L18 -70'
              : 'M13 -62V-84M8 -78L13 -86L18 -78'
          "
        />
      </g>
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: clamp(110px, 16vw, 20vh);
}
.die {
  fill: var(--metal);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.bore {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.split {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.screw {
  fill: var(--surface);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.way {
  fill: none;
  stroke-width: 2.4;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.in {
  stroke: var(--coral);
}
.out {
  stroke: var(--muted);
}
</style>
