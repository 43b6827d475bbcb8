import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { router } from './router.ts'
import { focusHeadings } from './shell/focus.ts'
import { preloadViews } from './shell/preload.ts'
import { workOffline } from './shell/offline.ts'
import './style.css'

focusHeadings(router)
preloadViews(router)
workOffline()
createApp(App).use(createPinia()).use(router).mount('#app')
