<script setup lang="ts">
/** How do I have it on the phone by the stove? The kitchen's other screens: let in, listed, put out. */
import {
  Alert as AAlert,
  Button as AButton,
  Form as AForm,
  FormItem as AFormItem,
  InputPassword as AInputPassword,
  List as AList,
  ListItem as AListItem,
  Skeleton as ASkeleton,
  Switch as ASwitch
} from 'ant-design-vue'
import dayjs from 'dayjs'
import { computed, onMounted, onUnmounted, ref, shallowRef, useId } from 'vue'
import { parsePasscode, type House } from '#core/formats/houseSchema'
import { api } from '../../api/client'
import { dayWritten, timeWritten } from '../../ui/moments'
import NothingHere from '../../ui/NothingHere.vue'
import { tell } from '../../ui/tell'
import { useSchema } from '../../ui/useSchema'

const id = useId()
const house = shallowRef<House | null>(null)
const trouble = ref<string | null>(null)
const busy = ref(false)
const shown = shallowRef<{ readonly url: string; readonly until: number; readonly drawing: string } | null>(null)
const passcode = ref('')
const form = useSchema(parsePasscode, () => ({ passcode: passcode.value }))

/** Tells what went wrong in the server's words. */
async function trying(work: () => Promise<unknown>): Promise<boolean> {
  trouble.value = null
  busy.value = true
  try {
    await work()
    house.value = await api.house()
    return true
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'That failed. Try again.'
    return false
  } finally {
    busy.value = false
  }
}
const load = (): Promise<boolean> => trying(() => Promise.resolve())
/** A phone that has come in stands in the list by itself. */
const LOOK_MS = 3000
let looking: ReturnType<typeof setInterval> | undefined
onMounted(() => {
  void load()
  looking = setInterval(() => {
    if (shown.value) void look()
  }, LOOK_MS)
})
onUnmounted(() => clearInterval(looking))
async function look(): Promise<void> {
  const before = house.value?.devices?.length ?? 0
  house.value = await api.house().catch(() => house.value)
  if ((house.value?.devices?.length ?? 0) > before) shown.value = null
  else if (shown.value && shown.value.until < Date.now()) shown.value = null
}

const open = computed(() => house.value?.open === true)
async function turn(is: boolean): Promise<void> {
  shown.value = null
  await trying(() => api.openHouse(is))
}
async function invite(): Promise<void> {
  await trying(async () => {
    const [{ toString: drawn }, { url, until }] = await Promise.all([import('qrcode'), api.invite()])
    const drawing = await drawn(url, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' })
    shown.value = { url, until, drawing: `data:image/svg+xml;utf8,${encodeURIComponent(drawing)}` }
  })
}
async function lock(): Promise<void> {
  const written = form.submit()
  if (written && (await trying(() => api.setPasscode(written.passcode)))) {
    passcode.value = ''
    form.forget()
    tell('The passcode is set. Devices that are in stay in.')
  }
}
const unlock = (): Promise<boolean> => trying(() => api.setPasscode(null))
async function putOut(device: string, name: string): Promise<void> {
  if (await trying(() => api.putOut(device))) tell(`${name} is out. It comes in again only by a new code or the passcode.`)
}
const when = (at: number): string => `${dayjs(at).format(dayWritten)}, ${dayjs(at).format(timeWritten)}`
</script>

<template>
  <div class="place one">
    <main>
      <h1>On the phone by the stove</h1>
      <p class="quiet">
        Any phone, tablet or laptop in the same network can plan and cook the same service. Nobody comes in that you have not let in.
      </p>
      <a-alert v-if="trouble" class="trouble" type="error" :message="trouble" role="alert" />
      <a-skeleton v-if="!house && !trouble" active :title="false" :paragraph="{ rows: 4 }" />
      <p v-else-if="house && !house.here">
        This is one of the other screens. They are let in and put out at the machine that Macellaio runs on.
      </p>
      <template v-else-if="house">
        <div class="switch">
          <a-switch :id="`${id}-open`" :checked="open" :disabled="busy" @change="is => turn(Boolean(is))" />
          <label :for="`${id}-open`">Open to the kitchen’s other screens</label>
        </div>
        <p v-if="!open" class="quiet">Shut: only this machine reaches it.</p>
        <template v-else>
          <section>
            <h2>Let one in</h2>
            <div v-if="shown" class="shown">
              <img :src="shown.drawing" alt="The code to scan" width="232" height="232" />
              <div>
                <p>Scan it with the phone’s camera. It is good once, for ten minutes.</p>
                <p class="quiet">Or type on the phone, as it stands here:</p>
                <p class="url">{{ shown.url }}</p>
              </div>
            </div>
            <a-button v-else type="primary" :disabled="busy" @click="invite">Show a code for a phone</a-button>
            <p class="quiet">
              The phone will warn once that it does not know who vouches for this page. Nobody does: the certificate was made on this
              machine, so that what goes through the air is sealed. At home in your own network, go on (“Advanced”, then “Proceed”).
            </p>
            <p class="quiet">
              Without a code it is at {{ new Intl.ListFormat('en', { type: 'disjunction' }).format(house.addresses ?? []) }}.
            </p>
          </section>
          <section>
            <h2>A passcode instead</h2>
            <p class="quiet">
              {{
                house.passcode ? 'There is one: whoever knows it comes in without a code.' : 'There is none: only a code from here lets in.'
              }}
            </p>
            <a-form class="lock" layout="vertical" @submit="lock">
              <a-form-item :label="house.passcode ? 'Another one' : 'The passcode'" :html-for="`${id}-code`" v-bind="form.item('passcode')">
                <a-input-password :id="`${id}-code`" v-model:value="passcode" autocomplete="new-password" />
              </a-form-item>
              <a-button html-type="submit" :disabled="busy">Set it</a-button>
              <a-button v-if="house.passcode" class="link" :disabled="busy" @click="unlock">Do without</a-button>
            </a-form>
          </section>
        </template>
        <section>
          <h2>Let in</h2>
          <nothing-here v-if="(house.devices ?? []).length === 0">No other device is let in.</nothing-here>
          <a-list v-else :data-source="[...(house.devices ?? [])]" aria-label="Devices that are let in">
            <template #renderItem="{ item }">
              <a-list-item>
                <div>
                  <strong>{{ item.name }}</strong>
                  <p class="quiet">let in {{ when(item.pairedAt) }}, last here {{ when(item.seenAt) }}</p>
                </div>
                <a-button class="link" :disabled="busy" :aria-label="`Put out ${item.name}`" @click="putOut(item.id, item.name)"
                  >Put out</a-button
                >
              </a-list-item>
            </template>
          </a-list>
        </section>
      </template>
    </main>
  </div>
</template>

<style scoped>
main {
  max-width: 720px;
}
.trouble {
  margin: 10px 0;
}
.switch {
  display: flex;
  align-items: center;
  gap: 12px;
  margin: 16px 0 6px;
  font-size: 17px;
}
section {
  margin-top: 22px;
}
.shown {
  display: flex;
  flex-wrap: wrap;
  gap: 20px;
  align-items: center;
  margin: 10px 0;
}
.shown img {
  border: 1px solid var(--rule);
  background: #fff;
}
.shown div {
  flex: 1 1 260px;
  min-width: 0;
}
.url {
  font-family: var(--mono, monospace);
  overflow-wrap: anywhere;
}
section > .quiet {
  margin-top: 8px;
}
.lock {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 10px;
  margin-top: 8px;
}
.lock :deep(.ant-form-item) {
  margin: 0;
  width: 260px;
}
</style>
