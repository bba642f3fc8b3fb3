<script setup lang="ts">
/** A device that this kitchen does not know yet: it comes in by the code that was shown, or by the passcode. */
import {
  Alert as AAlert,
  Button as AButton,
  Form as AForm,
  FormItem as AFormItem,
  Input as AInput,
  InputPassword as AInputPassword
} from 'ant-design-vue'
import { computed, onMounted, ref, shallowRef, useId } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { DEVICE_NAME_LENGTH, parseClaim, type House } from '#core/formats/houseSchema'
import { api, unpaired } from '../../api/client'
import { useServices } from '../../stores/services'
import { useSchema } from '../../ui/useSchema'
import { usualName } from './usualName'

const id = useId()
const route = useRoute()
const router = useRouter()
const services = useServices()
const house = shallowRef<House | null>(null)
const trouble = ref<string | null>(null)
const busy = ref(false)
const name = ref(usualName(navigator.userAgent))
const passcode = ref('')
const secret = computed(() => route.hash.slice(1))
const form = useSchema(parseClaim, () => ({
  name: name.value,
  // Typed, it may be either.
  ...(secret.value === '' ? { secret: passcode.value.trim().toUpperCase(), passcode: passcode.value } : { secret: secret.value })
}))
onMounted(async () => {
  house.value = await api.house().catch(() => null)
  if (house.value?.in) await goOn()
})
/** To what is being cooked, where something is. */
async function goOn(): Promise<void> {
  unpaired.value = false
  const running = await services.openRunning().catch(() => false)
  await router.replace(running ? '/stove' : '/')
}
async function comeIn(): Promise<void> {
  const claim = form.submit()
  if (!claim) return
  busy.value = true
  trouble.value = null
  try {
    await api.comeIn(claim)
    await goOn()
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'That failed. Try again.'
    // A code that was refused is of no use any more: the passcode may be.
    await router.replace({ hash: '' })
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="place one">
    <main>
      <h1>This kitchen does not know this device yet</h1>
      <a-alert v-if="trouble" class="trouble" type="error" :message="trouble" role="alert" />
      <p v-if="secret !== ''">It was shown a code. Give it a name, and come in.</p>
      <p v-else>
        At the machine that Macellaio runs on, open “On the phone” and have a code shown{{
          house?.passcode ? ', or type the passcode of this kitchen' : ''
        }}.
      </p>
      <a-form class="in" layout="vertical" @submit="comeIn">
        <a-form-item label="What this device is called" :html-for="`${id}-name`" v-bind="form.item('name')">
          <a-input :id="`${id}-name`" v-model:value="name" :maxlength="DEVICE_NAME_LENGTH" />
        </a-form-item>
        <a-form-item
          v-if="secret === ''"
          :label="house?.passcode ? 'The code, or the passcode' : 'The code'"
          :html-for="`${id}-code`"
          v-bind="form.item('passcode')"
        >
          <a-input-password :id="`${id}-code`" v-model:value="passcode" autocomplete="current-password" />
        </a-form-item>
        <a-button type="primary" html-type="submit" :disabled="busy" block>Come in</a-button>
      </a-form>
    </main>
  </div>
</template>

<style scoped>
main {
  max-width: 460px;
}
.trouble {
  margin: 10px 0;
}
.in {
  margin-top: 14px;
}
.in :deep(.ant-form-item) {
  margin-bottom: 16px;
}
</style>
