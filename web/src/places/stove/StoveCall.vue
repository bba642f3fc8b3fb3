<script setup lang="ts">
/** The one thing to do now, and how long until then, readable from across the kitchen. */
import { computed } from 'vue'
import { showClock } from '#core/quantity/format'

const props = defineProps<{
  headline: string
  /** s; past its time below 0, null where nothing is due. */
  left: number | null
  advice: string
  /** What the probe has changed. */
  against: string | null
  trouble: string | null
}>()
const late = computed(() => props.left !== null && props.left < LATE_S)
</script>

<script lang="ts">
/** s: within a second of its time it is on time. */
export const LATE_S = -1
/** From here on the clock is a figure longer. */
const HOUR_S = 3600
</script>

<template>
  <div class="call" :class="{ late, hours: left !== null && Math.abs(left) >= HOUR_S }">
    <h1>{{ headline }}</h1>
    <p v-if="left !== null" class="clock figure" role="timer" :aria-label="`${headline} ${showClock(Math.abs(left))}`">
      <template v-if="late"><span class="late-by">late by</span> {{ showClock(-left) }}</template>
      <template v-else>{{ showClock(left) }}</template>
    </p>
    <p class="advice">{{ advice }}</p>
    <p v-if="against" class="advice heard">{{ against }}</p>
    <p v-if="trouble" class="advice trouble" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
h1 {
  font-size: clamp(34px, 5.2vw, 66px);
  line-height: 1.12;
}
.clock {
  font-size: clamp(120px, 21vw, 264px);
  line-height: 0.98;
  color: var(--hot);
  letter-spacing: -0.02em;
  white-space: nowrap;
}
.late-by {
  font-size: 0.24em;
  letter-spacing: 0;
  font-family: var(--sans);
  font-weight: 500;
}
.late .clock {
  font-size: clamp(80px, 13vw, 170px);
}
.hours .clock {
  font-size: clamp(64px, 13vw, 170px);
}
.advice {
  font-size: 21px;
  line-height: 1.4;
  color: #b5bab6;
  margin-top: 12px;
}
.heard {
  display: none;
}
.trouble {
  color: var(--hot);
}
@media (max-width: 900px) {
  .heard {
    display: block;
    border-left: 3px solid var(--hot);
    padding-left: 12px;
  }
  .clock {
    font-size: 34vw;
  }
  .hours .clock {
    font-size: 20vw;
  }
  .advice {
    font-size: 18px;
  }
}
@media (max-height: 520px) and (min-width: 560px) {
  h1 {
    font-size: 26px;
  }
  .clock {
    font-size: min(20vw, 42vh);
  }
  .late .clock,
  .hours .clock {
    font-size: min(13vw, 30vh);
  }
  .advice {
    font-size: 15px;
    margin-top: 4px;
  }
}
</style>
