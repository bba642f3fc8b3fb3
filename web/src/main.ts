import '@fontsource-variable/hanken-grotesk/index.css'
import '@fontsource-variable/vollkorn/index.css'
import '@fontsource/noto-sans-jp/japanese-400.css'
import 'ant-design-vue/dist/reset.css'
import './theme/theme.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { loadPlaces, router } from './router'

createApp(App).use(createPinia()).use(router).mount('#app')

// Where one does not come now it is asked for again when it is wanted.
void router.isReady().then(() => loadPlaces().catch(() => undefined))
