import 'vuetify/styles/core'
import '@fontsource/atkinson-hyperlegible-next/latin-400.css'
import '@fontsource/atkinson-hyperlegible-next/latin-700.css'
import '@fontsource/atkinson-hyperlegible-mono/latin-400.css'
import '@fontsource/atkinson-hyperlegible-mono/latin-700.css'
import '@/shared/theme/theme.css'

import { createApp } from 'vue'

import { vuetify } from '@/shared/theme/vuetify'
import SystemPage from './SystemPage.vue'

/** The theme is said by the address: /#deep. */
const theme = window.location.hash === '#deep' ? 'deep' : 'shell'
vuetify.theme.change(theme)
document.documentElement.dataset.theme = theme
createApp(SystemPage).use(vuetify).mount('#app')
