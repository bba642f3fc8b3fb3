import '@fontsource-variable/hanken-grotesk/index.css'
import '@fontsource-variable/vollkorn/index.css'
import '@fontsource/noto-sans-jp/japanese-400.css'
import 'ant-design-vue/dist/reset.css'
import './theme/theme.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { api } from './api/client'
import App from './App.vue'
import { afterTheAnswer } from './offline/afterTheAnswer'
import { keepWhatShips } from './offline/useNewerVersion'
import { loadPlaces, router } from './router'
import { useCook } from './stores/cook'
import { usePass } from './stores/pass'
import { trueTime } from './stores/trueTime'

createApp(App).use(createPinia()).use(router).mount('#app')

const cook = useCook()
const pass = usePass()
trueTime.watch({
  wall: () => Date.now(),
  steady: () => performance.now(),
  server: () => api.health(),
  cooking: () => cook.inEarnest || pass.begun
})

// Where one does not come now it is asked for again when it is wanted.
const loadOthers = (): void => void loadPlaces().catch(() => undefined)
void router.isReady().then(() => {
  void afterTheAnswer.then(loadOthers)
  keepWhatShips()
})
