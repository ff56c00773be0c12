<script setup lang="ts">
/** What a straight antenna hears: all round its bare tip, and nothing off its end; a second one at a right angle hears there. */
export interface AntennaDrawingProps {
  /** The working tip, mm. */
  tipMm: number
}
defineProps<AntennaDrawingProps>()
</script>

<template>
  <svg
    class="antenna"
    viewBox="0 0 420 168"
    role="img"
    :aria-label="`Two antennas at a right angle: the bare tip of ${tipMm} mm of each hears to its sides and nothing off its end; the other one hears there. 50 mm clear of carbon, motor and wiring.`"
  >
    <g class="one">
      <ellipse cx="78" cy="58" rx="30" ry="40" />
      <ellipse cx="142" cy="58" rx="30" ry="40" />
      <path class="coax" d="M110 160V84" />
      <path class="tip" d="M110 84V34" />
      <path class="none" d="M110 28V8M104 14L110 8L116 14" />
      <text x="120" y="18">nothing off its end</text>
      <path class="size" d="M166 34H178M172 34V84M166 84H178" />
      <text x="182" y="63">{{ tipMm }} mm</text>
    </g>
    <g class="other">
      <path class="coax" d="M250 160V112H296" />
      <path class="tip" d="M296 112H346" />
      <ellipse cx="321" cy="88" rx="40" ry="21" />
      <ellipse cx="321" cy="136" rx="40" ry="21" />
      <path class="none" d="M352 112H372M366 106L372 112L366 118" />
      <text x="262" y="58">the other at a right angle</text>
    </g>
  </svg>
</template>

<style scoped>
.antenna {
  width: 100%;
  max-width: 420px;
  display: block;
  margin: 0.5rem 0;
}
ellipse {
  fill: var(--wash);
  stroke: var(--petrol-2);
  stroke-width: 1.2;
  stroke-dasharray: 4 3;
}
.coax {
  fill: none;
  stroke: var(--ink);
  stroke-width: 5;
}
.tip {
  stroke: var(--amber-line);
  stroke-width: 3;
}
.none {
  fill: none;
  stroke: var(--stop);
  stroke-width: 1.8;
}
.size {
  fill: none;
  stroke: var(--muted);
  stroke-width: 1;
}
text {
  font: 14.2px var(--sans);
  fill: var(--ink);
}
</style>
