<template>
  <details class="muted small">
    <summary>Examples to type</summary>
    <span class="fig">1/4 BSW split die 13/16</span>, <span class="fig">0-10 BA taps</span>,
    <span class="fig">1-13 x 0.5 drills</span>,
    <span class="fig">1/2 BSW die 1 x 3/8 worn, British box</span>,
    <span class="fig">1 in die holder 2MT</span>, <span class="fig">bench lathe 2MT screwed</span>,
    <span class="fig">5/8 brass bar 14 in</span>.
  </details>
</template>
