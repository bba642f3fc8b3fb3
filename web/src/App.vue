<script setup lang="ts">
import { Button as AButton, ConfigProvider as AConfigProvider } from 'ant-design-vue'
import { computed, onMounted, watch } from 'vue'
import { RouterLink, RouterView, useRoute, useRouter } from 'vue-router'
import { showDuration, shownText } from '#core/quantity/format'
import { unpaired } from './api/client'
import NewerVersion from './offline/NewerVersion.vue'
import NotCome from './offline/NotCome.vue'
import { useCook } from './stores/cook'
import { useKit } from './stores/kit'
import { trueTime } from './stores/trueTime'
import { useUnits } from './stores/units'
import { antTheme } from './theme/antTheme'
import { tell, useSpeaker } from './ui/tell'

const units = useUnits()
const kit = useKit()
onMounted(() => void kit.load())
// Not needed for the first look.
onMounted(() => void import('./stores/services').then(({ useServices }) => useServices().start()))
const cook = useCook()
const route = useRoute()
const Spoken = useSpeaker()
const router = useRouter()
watch(unpaired, async is => {
  await router.isReady()
  // It is there already, with the code that it was shown.
  if (is && route.name !== 'pair') void router.push('/pair')
})
// Once, when it is found: the stove's minutes are not those of this device's own clock then.
watch(
  () => Math.round(trueTime.ahead / 60_000),
  minutes => {
    if (minutes === 0) return
    const by = shownText(showDuration(60 * Math.abs(minutes)))
    tell(
      `This device’s clock is ${by} ${minutes > 0 ? 'ahead of' : 'behind'} the server’s. The stove goes by the server’s, on every screen.`
    )
  }
)
/** Over the network it comes encrypted: in the clear it is the machine itself. */
const here = location.protocol === 'http:'
const service = computed(() => route.meta['mood'] === 'service')
const places = [
  { to: '/counter', name: 'Counter' },
  { to: '/bench', name: 'Bench' },
  { to: '/fire', name: 'Fire' },
  { to: '/pass', name: 'Pass' },
  { to: '/stove', name: 'Stove' },
  { to: '/book', name: 'Book' }
]
</script>

<template>
  <a-config-provider :theme="antTheme" :auto-insert-space-in-button="false">
    <header :class="{ service }">
      <router-link to="/" class="name">Macellaio</router-link>
      <nav aria-label="Places">
        <router-link
          v-for="p in places"
          :key="p.to"
          :to="p.to"
          :class="{ here: route.path.startsWith(p.to) }"
          :aria-current="route.path.startsWith(p.to) ? 'page' : undefined"
        >
          {{ p.name }}<span v-if="p.name === 'Stove' && cook.underWay" class="lit" title="A cook is under way"></span>
        </router-link>
      </nav>
      <p v-if="cook.unsent > 0 && cook.offline" class="offline" role="status">
        The server does not answer. All is kept here and sent when it does.
      </p>
      <router-link v-if="here" class="phone" to="/screens">On the phone</router-link>
      <a-button class="units" :aria-label="`Units: ${units.label}. Change`" @click="units.toggle()">
        {{ units.label }}
      </a-button>
    </header>
    <newer-version />
    <not-come />
    <router-view />
    <spoken />
  </a-config-provider>
</template>

<style scoped>
header {
  height: var(--header);
  display: flex;
  align-items: stretch;
  gap: 6px;
  padding: 0 28px;
  border-bottom: 1px solid var(--rule);
}
.name {
  font-family: var(--serif);
  font-size: 24px;
  font-weight: 600;
  color: var(--oxblood);
  align-self: center;
  margin-right: 42px;
}
nav {
  display: flex;
  gap: 4px;
}
nav a {
  position: relative;
  display: flex;
  align-items: center;
  padding: 0 12px;
  color: var(--ink-2);
  font-size: 16px;
  border-bottom: 3px solid transparent;
  border-top: 3px solid transparent;
}
nav a:hover {
  color: var(--ink);
}
nav a.here {
  color: var(--ink);
  font-weight: 600;
  border-bottom-color: var(--oxblood);
}
.lit {
  width: 8px;
  height: 8px;
  border-radius: 50%;
  background: #c8791b;
  margin-left: 6px;
}
.offline {
  align-self: center;
  font-size: 13.5px;
  color: #7a4d0d;
  margin-left: 16px;
}
.phone {
  margin-left: auto;
  align-self: center;
  color: var(--ink-2);
  font-size: 15px;
  margin-right: 10px;
}
.phone + .units {
  margin-left: 0;
}
.units {
  margin-left: auto;
  align-self: center;
  border: 1px solid var(--rule);
  background: none;
  font: inherit;
  color: var(--ink-2);
  padding: 5px 12px;
  cursor: pointer;
  border-radius: 3px;
  white-space: nowrap;
}
.service {
  background: var(--service);
  border-bottom-color: #2a2f32;
}
.service .name,
.service nav a.here {
  color: var(--chalk);
}
.service nav a,
.service .phone,
.service .units {
  color: #a9aeaa;
}
.service nav a.here {
  border-bottom-color: var(--hot);
}
.service .units {
  border-color: #30383c;
}
.service .units:hover {
  background: var(--service-2);
  color: var(--chalk);
}
.service .offline {
  color: var(--hot);
}
@media (min-width: 761px) and (max-width: 880px) {
  header {
    padding: 0 16px;
  }
  .name {
    margin-right: 12px;
  }
  nav a {
    padding: 0 9px;
  }
  .phone {
    white-space: nowrap;
  }
}
@media (max-width: 760px) {
  header {
    padding: 0 16px;
  }
  .name {
    font-size: 20px;
  }
  .units.ant-btn {
    min-height: 36px;
  }
  .phone {
    display: inline-flex;
    align-items: center;
    min-height: 36px;
  }
  nav {
    position: fixed;
    z-index: 20;
    left: 0;
    right: 0;
    bottom: 0;
    display: grid;
    grid-template-columns: repeat(6, 1fr);
    gap: 0;
    background: var(--marble);
    border-top: 1px solid var(--rule);
    padding-bottom: env(safe-area-inset-bottom);
  }
  nav a {
    justify-content: center;
    height: var(--foot);
    padding: 0 2px;
    font-size: 15px;
    border-bottom: 0;
  }
  nav a.here {
    border-top-color: var(--oxblood);
  }
  .service nav {
    background: var(--service);
    border-top-color: #2a2f32;
  }
  .service nav a.here {
    border-top-color: var(--hot);
  }
  .lit {
    position: absolute;
    top: 10px;
    right: 8px;
  }
  .offline {
    position: fixed;
    left: 0;
    right: 0;
    bottom: var(--foot);
    background: var(--slate);
    color: var(--hot);
    padding: 8px 14px;
    margin: 0;
    z-index: 5;
  }
}
</style>
