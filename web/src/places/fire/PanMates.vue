<script setup lang="ts">
/** What else of the ticket goes in the same pan: with it, or if both were as hot. */
import { Button as AButton } from 'ant-design-vue'
import { computed } from 'vue'
import { listed, showTemperature, shownText } from '#core/quantity/format'
import { settingsOf } from '#core/request/setup'
import type { PlanRequest } from '#core/request/request'
import { inWords } from '#core/service/onePan'
import { useDraft } from '../../stores/draft'
import { usePass } from '../../stores/pass'
import { useUnits } from '../../stores/units'

const draft = useDraft()
const pass = usePass()
const units = useUnits()
const panOf = (request: PlanRequest): number => (settingsOf(request) as { readonly panC: number }).panC
const degrees = (c: number): string => shownText(showTemperature(c, units.system))
const together = computed(() => listed(pass.mates.filter(m => m.shares).map(m => `the ${inWords(m.request)}`)))
/** Only the heat keeps them apart. */
const apart = computed(() => pass.mates.find(m => !m.shares))
</script>

<template>
  <div v-if="pass.mates.length > 0" class="mates">
    <p v-if="together">
      In one pan with {{ together }}. Lit together, each goes in so that all are carved at once<template v-if="!pass.atTheFire"
        >, as soon as this is on the ticket</template
      ><template v-else>; what each takes from the pan’s heat is counted</template>.
    </p>
    <p v-else-if="apart">
      The {{ inWords(apart.request) }} on the ticket would go in this pan too, but at {{ degrees(panOf(apart.request)) }}.
      <a-button class="link" @click="draft.turn({ panC: panOf(apart.request) })"
        >Cook this at {{ degrees(panOf(apart.request)) }} as well</a-button
      >
    </p>
  </div>
</template>

<style scoped>
.mates p {
  margin: 8px 0;
  padding-left: 10px;
  border-left: 3px solid var(--brass);
  font-size: 14.5px;
}
.link.ant-btn {
  min-height: 32px;
}
</style>
