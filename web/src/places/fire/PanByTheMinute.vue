<script setup lang="ts">
/** The pan in use on its ring, empty, by the minute, and the signs to judge it by without a thermometer. */
import { computed } from 'vue'
import { hottestPan, PAN_SIGNS, panAfter, preheatSeconds } from '#core/kit/pan'
import { wholeSettings } from '#core/request/setup'
import { showDuration, showTemperature, shownText } from '#core/quantity/format'
import { useDraft } from '../../stores/draft'
import { useUnits } from '../../stores/units'

const draft = useDraft()
const units = useUnits()
const degrees = (c: number): string => shownText(showTemperature(c, units.system))
const found = computed(() => draft.request.kit)
const room = computed(() => draft.request.room.temperatureC)
/** As hot as the method wants it, or as a steak in a pan would. */
const panC = computed(() => wholeSettings(draft.request).panC ?? wholeSettings(draft.askedBy('pan sear')).panC ?? 215)
const minutes = computed(() =>
  [1, 2, 3, 4, 5, 6, 7, 8].map(m => ({ m, c: panAfter(found.value.pan, found.value.ring, 60 * m, room.value) }))
)
const ready = computed(() => preheatSeconds(found.value.pan, found.value.ring, panC.value, room.value))
const hottest = computed(() => hottestPan(found.value.pan, found.value.ring, room.value))
</script>

<template>
  <section>
    <h2>{{ found.pan.name }} on the {{ found.ring.name.toLowerCase() }}</h2>
    <p class="quiet">Empty, medium-high, from a cold kitchen.</p>
    <ol class="minutes">
      <li v-for="r in minutes" :key="r.m" :class="{ past: r.c > panC }">
        <span>{{ r.m }} min</span><b class="figure">{{ degrees(r.c) }}</b>
      </li>
    </ol>
    <p v-if="ready !== null">
      {{ degrees(panC) }} after <b>{{ shownText(showDuration(ready)) }}</b>.
    </p>
    <p v-else>It gets to {{ degrees(hottest) }} at most.</p>
    <h3>Without a thermometer</h3>
    <ul class="signs">
      <li v-for="s in PAN_SIGNS" :key="s.celsius">
        <b>{{ degrees(s.celsius) }}</b> {{ s.sign }}
      </li>
    </ul>
    <p class="quiet note">{{ units.say('Common practice, each ± 15 degrees.') }} A drop of water, never in hot fat.</p>
  </section>
</template>

<style scoped>
.minutes {
  list-style: none;
  padding: 0;
  margin: 8px 0;
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 1px;
  background: #454b4d;
}
.minutes li {
  background: var(--slate);
  padding: 5px 6px 5px 8px;
  display: flex;
  flex-direction: column;
  font-size: 13px;
  color: #cfd0c9;
}
.minutes b {
  font-size: 19px;
  color: var(--chalk);
}
.minutes .past b {
  color: var(--hot-figure);
}
h3 {
  font-size: 16px;
  margin-top: 10px;
}
.signs {
  list-style: none;
  padding: 0;
  margin: 4px 0;
  font-size: 13.5px;
  line-height: 1.4;
}
.signs li {
  padding: 3px 0;
}
.note {
  font-size: 13px;
}
</style>
