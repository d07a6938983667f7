import type { VBtn } from 'vuetify/components/VBtn'

declare module 'vue' {
  interface GlobalComponents {
    PlainBtn: typeof VBtn
  }
}
