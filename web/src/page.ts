import '@fontsource-variable/hanken-grotesk/index.css'
import '@fontsource-variable/vollkorn/index.css'
import '@fontsource/noto-sans-jp/japanese-400.css'
import 'ant-design-vue/dist/reset.css'
import './theme/theme.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { keepWhatShips } from './offline/useNewerVersion'
import { loadPlaces, router } from './router'

createApp(App).use(createPinia()).use(router).mount('#app')

/** ms: by then they are fetched, however busy the page is. */
const AT_THE_LATEST = 2000
// Where one does not come now it is asked for again when it is wanted.
const loadOthers = (): void => void loadPlaces().catch(() => undefined)
void router.isReady().then(() => {
  if ('requestIdleCallback' in window) requestIdleCallback(loadOthers, { timeout: AT_THE_LATEST })
  else setTimeout(loadOthers, AT_THE_LATEST)
  keepWhatShips()
})
