<script setup lang="ts">
/** The hand test, honestly: what it compares with, how far its schools disagree, and what the same feel has been. */
import { Alert as AAlert, Segmented as ASegmented, Skeleton as ASkeleton, Table as ATable } from 'ant-design-vue'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import { listed, showLength, showTemperature, showTemperatureRise, shownText } from '#core/quantity/format'
import { disagreement, HAND_SCHOOLS, meantByAll, PADS, type Felt } from '#core/rehearsal/hand'
import { useUnits } from '../../stores/units'
import { askEngine } from '../../workers/engine'
import HandDrawing from './HandDrawing.vue'

const units = useUnits()
const degrees = (c: number): string => shownText(showTemperature(c, units.system))
const pad = ref(2)
const felt = shallowRef<readonly Felt[] | null>(null)
const trouble = ref(false)
onMounted(async () => {
  try {
    felt.value = (await askEngine(engine => engine.feels() as Promise<Felt[]>)) ?? []
  } catch {
    trouble.value = true
  }
})
const rows = computed(() =>
  meantByAll(felt.value ?? []).map(({ feel, range }) => ({
    feel,
    means:
      range === null ? 'raw, and on its way' : range[0] === range[1] ? degrees(range[0]) : `${degrees(range[0])} to ${degrees(range[1])}`
  }))
)
const COLUMNS = [
  { key: 'feel', dataIndex: 'feel', title: 'It feels' },
  { key: 'means', dataIndex: 'means', title: 'Its middle has been', align: 'right' as const }
]
const thick = computed(() =>
  listed([...new Set((felt.value ?? []).map(f => f.thicknessMm))].map(mm => shownText(showLength(mm, units.system))))
)
const apart = computed(() => disagreement(pad.value))
</script>

<template>
  <main class="finger">
    <router-link to="/rehearse/drills" class="back">Small drills</router-link>
    <h1>What a finger can tell</h1>
    <p class="lead">
      Many cooks press the piece and then the pad under their own thumb, which tightens as the thumb is laid to one finger after the other.
      It trains the hand. It does not measure.
    </p>
    <div class="two">
      <section>
        <h2>The hand</h2>
        <hand-drawing :pad="pad" />
        <a-segmented
          v-model:value="pad"
          :options="PADS.map((_, i) => ({ value: i, label: ['open', '1st', '2nd', '3rd', 'little'][i], title: PADS[i] }))"
          aria-label="The thumb is laid to"
        />
        <p class="said">
          {{ PADS[pad].charAt(0).toUpperCase() + PADS[pad].slice(1) }}:
          <template v-for="(s, i) in HAND_SCHOOLS" :key="s.name"
            >{{ i > 0 ? ', ' : '' }}{{ degrees(s.means[pad]) }} ({{ s.name.toLowerCase() }})</template
          >.
          {{
            apart[0] === apart[1]
              ? 'Here they agree.'
              : `The schools are ${shownText(showTemperatureRise(apart[1] - apart[0], units.system))} apart.`
          }}
        </p>
      </section>
      <section>
        <h2>The piece</h2>
        <p v-if="felt">
          Strips of {{ thick }}, turned once or each minute and cooked to six donenesses: what felt the same, worked out from how much of
          each has stiffened.
        </p>
        <a-alert v-if="trouble" type="warning" show-icon message="It could not be worked out just now." />
        <a-skeleton
          v-else-if="felt === null"
          active
          :title="false"
          :paragraph="{ rows: 5 }"
          role="status"
          aria-label="Some dozens of steaks are being cooked"
        />
        <a-table v-else row-key="feel" size="small" :columns="COLUMNS" :data-source="rows" :pagination="false" />
        <p>
          A thick grey edge feels done long before the middle is: turned once, a rare one presses like a medium one turned each minute.
          Where it matters, use a thermometer.
        </p>
      </section>
    </div>
    <p><router-link to="/rehearse/drills">Train it</router-link>: the drill “By the finger” lets you press, guess, and see.</p>
  </main>
</template>

<style scoped>
.finger {
  padding: 18px 28px 60px;
  max-width: 1100px;
}
.finger a {
  text-decoration: underline;
  text-underline-offset: 3px;
}
h1 {
  margin: 6px 0;
}
.lead {
  max-width: 66ch;
  font-size: 17px;
  line-height: 1.5;
  margin-bottom: 18px;
}
h2 {
  font-size: 21px;
  margin-bottom: 6px;
}
section p {
  margin: 6px 0 12px;
  line-height: 1.45;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 34px;
}
.said {
  margin-top: 10px;
  line-height: 1.5;
}
@media (max-width: 860px) {
  .finger {
    padding: 14px 16px 40px;
  }
  .two {
    grid-template-columns: 1fr;
    gap: 10px;
  }
}
</style>
