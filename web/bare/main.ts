/** One button and one field by the same toolchain: what the first page's size is measured against. */
import 'vuetify/styles/core'

import { createApp, defineComponent, h } from 'vue'
import { createVuetify } from 'vuetify'
import { VApp } from 'vuetify/components/VApp'
import { VBtn } from 'vuetify/components/VBtn'
import { VTextField } from 'vuetify/components/VTextField'

const Bare = defineComponent({
  render: () => h(VApp, () => [h(VTextField, { label: 'Field' }), h(VBtn, () => 'Button')]),
})
createApp(Bare).use(createVuetify()).mount('#app')
