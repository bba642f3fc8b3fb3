<script setup lang="ts">
/** Every service there is: coming, running and past; opened here, whatever device it was written at. */
import {
  Alert as AAlert,
  Button as AButton,
  Drawer as ADrawer,
  Form as AForm,
  FormItem as AFormItem,
  Input as AInput,
  List as AList,
  ListItem as AListItem,
  Skeleton as ASkeleton,
  Tag as ATag
} from 'ant-design-vue'
import dayjs from 'dayjs'
import { computed, ref, watch } from 'vue'
import { parseServiceName, SERVICE_NAME_LENGTH } from '#core/formats/serviceSchema'
import { stateOf, type ServiceState, type ServiceSummary } from '#core/service/record'
import { api } from '../../api/client'
import { usePass } from '../../stores/pass'
import { useServices } from '../../stores/services'
import { dayWritten, timeWritten } from '../../ui/moments'
import NothingHere from '../../ui/NothingHere.vue'
import TabRow from '../../ui/TabRow.vue'
import { tell } from '../../ui/tell'
import { useSchema } from '../../ui/useSchema'

const open = defineModel<boolean>('open', { required: true })
const pass = usePass()
const services = useServices()
const all = ref<readonly ServiceSummary[] | null>(null)
const total = ref(0)
const trouble = ref<string | null>(null)
const shown = ref<ServiceState>('coming')

const name = ref('')
const form = useSchema(parseServiceName, () => name.value.trim())
function rename(): void {
  const written = form.submit()
  if (written !== null) services.rename(written)
}

async function load(skip = 0): Promise<void> {
  trouble.value = null
  try {
    const found = await api.services(skip)
    all.value = skip === 0 ? found.services : [...(all.value ?? []), ...found.services]
    total.value = found.total
  } catch {
    trouble.value = 'The list is on the server, and it does not answer. What stands on the pass is here all the same.'
  }
}
watch(open, is => {
  if (!is) return
  name.value = services.name
  form.submit()
  void load()
})

const now = ref(Date.now())
watch(open, () => (now.value = Date.now()))
const stateFor = (s: ServiceSummary): ServiceState => stateOf(s, s.serveAt === null ? now.value : dayjs(s.serveAt).valueOf(), now.value)
const SHEETS = [
  { value: 'coming', says: 'Coming' },
  { value: 'running', says: 'Running' },
  { value: 'past', says: 'Past' }
] as const
const sheets = computed(() =>
  SHEETS.map(({ value, says }) => {
    const count = all.value?.filter(s => stateFor(s) === value).length ?? 0
    return { value, label: count > 0 ? `${says} (${count})` : says }
  })
)
/** Nearest first, either way. */
const listed = computed(() => {
  const of = all.value?.filter(s => stateFor(s) === shown.value) ?? []
  return shown.value === 'past' ? of : [...of].reverse()
})
watch(all, () => {
  if (listed.value.length === 0) shown.value = SHEETS.find(s => all.value?.some(a => stateFor(a) === s.value))?.value ?? 'coming'
})

const when = (s: ServiceSummary): string =>
  s.serveAt === null ? 'no time yet' : `${dayjs(s.serveAt).format(dayWritten)}, ${dayjs(s.serveAt).format(timeWritten)}`
const titleOf = (s: ServiceSummary): string => s.name || when(s)
const opening = ref<string | null>(null)
async function take(s: ServiceSummary): Promise<void> {
  const before = pass.serviceId
  opening.value = s.id
  try {
    await services.open(s.id)
    open.value = false
    tell(`${titleOf(s)} is on the pass.`, () => void services.open(before).catch(() => undefined))
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'That could not be opened.'
  }
  opening.value = null
}
async function putAway(s: ServiceSummary): Promise<void> {
  try {
    await api.removeService(s.id)
    await load()
    tell(`${titleOf(s)} is put away.`, () => void api.restoreService(s.id).then(() => load()))
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'That could not be put away.'
  }
}
function startAnew(): void {
  services.startAnew()
  open.value = false
  tell('A clean ticket. The one before is in the list.')
}
</script>

<template>
  <a-drawer v-model:open="open" title="Services" placement="right" :width="'min(460px, 100vw)'">
    <a-form layout="vertical" @submit="rename">
      <a-form-item class="name" label="This one is called" html-for="service-name" v-bind="form.item('')">
        <a-input
          id="service-name"
          v-model:value="name"
          :maxlength="SERVICE_NAME_LENGTH"
          placeholder="Lock-keepers’ supper"
          @blur="rename"
        />
      </a-form-item>
    </a-form>
    <a-button class="anew" @click="startAnew">Begin another</a-button>
    <a-alert v-if="trouble" class="trouble" type="warning" :message="trouble" role="alert" />
    <a-skeleton v-if="all === null && !trouble" active :title="false" :paragraph="{ rows: 4 }" />
    <template v-if="all">
      <tab-row v-model="shown" label="Which services" :options="sheets">
        <template v-for="t in SHEETS" :key="t.value" #[t.value]>
          <nothing-here v-if="listed.length === 0">None. What is changed on the pass is written down by itself.</nothing-here>
          <a-list v-else :data-source="[...listed]" :row-key="(s: ServiceSummary) => s.id">
            <template #renderItem="{ item: s }">
              <a-list-item class="service" :aria-current="s.id === pass.serviceId ? 'true' : undefined">
                <div class="what">
                  <strong>{{ titleOf(s) }}</strong>
                  <a-tag v-if="s.id === pass.serviceId">on the pass</a-tag>
                  <p v-if="s.name" class="quiet">{{ when(s) }}</p>
                  <p class="quiet">{{ s.diners === 1 ? 'one' : s.diners }} at the table: {{ s.dishes.join(', ') || 'nothing yet' }}</p>
                  <p v-if="s.cooks > 0" class="quiet">
                    {{ s.underWay > 0 ? `${s.underWay} at the fire` : `${s.cooks} cooked, in the book` }}
                  </p>
                </div>
                <div v-if="s.id !== pass.serviceId" class="acts">
                  <a-button :loading="opening === s.id" @click="take(s)">Open</a-button>
                  <a-button class="link" @click="putAway(s)">Put away</a-button>
                </div>
              </a-list-item>
            </template>
          </a-list>
        </template>
      </tab-row>
      <a-button v-if="all.length < total" @click="load(all.length)">Older ones</a-button>
    </template>
  </a-drawer>
</template>

<style scoped>
.name {
  margin: 0 0 10px;
}
.anew {
  margin-bottom: 14px;
}
.trouble {
  margin-bottom: 10px;
}
.service {
  padding-inline: 0;
  align-items: flex-start;
  gap: 12px;
}
.what {
  min-width: 0;
}
.what p {
  margin: 2px 0 0;
  font-size: 14px;
  overflow-wrap: anywhere;
}
.what strong {
  margin-right: 8px;
}
.acts {
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  gap: 4px;
}
</style>
