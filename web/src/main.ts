import 'vuetify/styles/core'
import '@fontsource/atkinson-hyperlegible-next/latin-400.css'
import '@fontsource/atkinson-hyperlegible-next/latin-700.css'
import '@fontsource/atkinson-hyperlegible-mono/latin-400.css'
import '@fontsource/atkinson-hyperlegible-mono/latin-700.css'
import '@/shared/theme/theme.css'

import { VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'

import App from '@/App.vue'
import { router } from '@/router'
import { queries } from '@/shared/api/queries'
import { install } from '@/shared/state/installed'
import { focusHeading, keepFocus } from '@/shared/state/keepFocus'
import { steadyPresses } from '@/shared/state/steadyPresses'
import { vuetify } from '@/shared/theme/vuetify'

createApp(App).use(router).use(vuetify).use(VueQueryPlugin, queries).mount('#app')
void install()
steadyPresses()
keepFocus()
router.afterEach((to, from) => {
  // The first page of all begins where a page begins; the same one stays where it is.
  if (from.name && to.path !== from.path) focusHeading()
})
