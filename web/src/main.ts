import '@fontsource-variable/hanken-grotesk/index.css'
import '@fontsource-variable/vollkorn/index.css'
import '@fontsource/noto-sans-jp/japanese-400.css'
import 'ant-design-vue/dist/reset.css'
import './theme/theme.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { router } from './router'

createApp(App).use(createPinia()).use(router).mount('#app')
