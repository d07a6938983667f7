<script setup lang="ts">
import type { IdeaCode } from '@/features/help/ideas'

/** One of the five ideas, drawn: metal, what is cut, the tool, and the figure that is meant. */
defineProps<{ code: IdeaCode }>()
/** A row of threads along y, as points of a polyline. */
const teeth = (from: number, to: number, y: number, deep: number) => {
  const points: string[] = []
  for (let x = from; x <= to; x += 12) points.push(`${x},${y}`, `${Math.min(x + 6, to)},${y + deep}`)
  return points.join(' ')
}
</script>

<template>
  <svg viewBox="0 -18 320 168" role="img" :aria-label="`Picture: ${code}`">
    <template v-if="code === 'blank'">
      <path class="metal" d="M20 30H110V38H300V112H110V120H20Z" />
      <path class="cut" d="M110 30H300V38H110ZM110 112H300V120H110Z" />
      <path class="axis" d="M8 75H312" />
      <path class="line" d="M250 38V112M244 46L250 38L256 46M244 104L250 112L256 104" />
      <text x="242" y="80" text-anchor="end" class="mean">blank</text>
      <path class="dash" d="M110 30H312M110 120H312" />
      <text x="306" y="24" text-anchor="end">size of the thread</text>
    </template>
    <template v-else-if="code === 'zero'">
      <path class="metal" d="M20 40H200V50H280V100H200V110H20Z" />
      <path class="jaw" d="M20 14H70V40H20ZM20 110H70V136H20Z" />
      <path class="axis" d="M8 75H312" />
      <path class="tool" d="M200 48L206 22H240V48Z" />
      <path class="dash" d="M280 10V142M200 10V142" />
      <path class="line" d="M280 128H200M208 122L200 128L208 134" />
      <text x="286" y="20" class="mean">Z 0</text>
      <text x="240" y="122" text-anchor="middle" class="mean">minus</text>
    </template>
    <template v-else-if="code === 'dial'">
      <circle class="metal" cx="90" cy="75" r="52" />
      <circle class="cut ring" cx="90" cy="75" r="48" />
      <path class="tool" d="M150 66H200V84H150L142 75Z" />
      <path class="line" d="M142 40H134M150 40H158" />
      <text x="166" y="36">radius dial: 1</text>
      <text x="166" y="56">diameter dial: 2</text>
      <circle class="dial" cx="262" cy="100" r="36" />
      <path class="line" d="M262 64V74M298 100H288M262 136V126M226 100H236" />
      <path class="mark" d="M262 100L284 78" />
    </template>
    <template v-else-if="code === 'screws'">
      <circle class="metal" cx="160" cy="88" r="54" />
      <circle class="hole" cx="160" cy="88" r="17" />
      <path class="hole" d="M157 34H163V72H157Z" />
      <path class="tool" d="M153 2H167V26L160 38L153 26Z" />
      <path class="tool" d="M112 18L122 10L136 34L126 42ZM208 18L198 10L184 34L194 42Z" />
      <text x="160" y="-4" text-anchor="middle" class="mean">opens</text>
      <text x="216" y="44">closes</text>
      <text x="104" y="44" text-anchor="end">closes</text>
    </template>
    <template v-else>
      <polyline class="metal" :points="`20,140 20,84 ${teeth(20, 296, 84, -40)} 300,84 300,140`" />
      <path class="band" d="M20 56H300V70H20Z" />
      <path class="axis" d="M8 63H312" />
      <text x="306" y="36" text-anchor="end">crests</text>
      <text x="160" y="108" text-anchor="middle" class="mean">limits of the pitch diameter</text>
    </template>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 360px;
  overflow: visible;
}
text {
  font: 14px var(--words);
  fill: var(--muted);
}
.mean {
  fill: var(--coral);
  font-weight: 700;
}
.metal {
  fill: var(--metal);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.cut {
  fill: var(--shade);
  stroke: var(--coral);
}
.ring {
  fill: none;
  stroke-width: 8;
  stroke: var(--shade);
}
.tool {
  fill: var(--coral);
  stroke: var(--ink);
  stroke-width: 1.2;
}
.jaw,
.dial {
  fill: var(--surface);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.hole {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.band {
  fill: var(--shade);
  stroke: none;
}
.axis {
  stroke: var(--muted);
  stroke-dasharray: 14 3 3 3;
  fill: none;
}
.dash {
  stroke: var(--muted);
  stroke-dasharray: 6 4;
  fill: none;
}
.line {
  stroke: var(--ink);
  stroke-width: 1.6;
  fill: none;
}
.mark {
  stroke: var(--coral);
  stroke-width: 4;
}
</style>
