import { mdiCheckboxBlankOutline, mdiCheckboxMarked, mdiMenuDown } from '@mdi/js'
import { createVuetify } from 'vuetify'
import { VApp } from 'vuetify/components/VApp'
import { VBtn } from 'vuetify/components/VBtn'
import { VTextField } from 'vuetify/components/VTextField'
import { mdi } from 'vuetify/iconsets/mdi-svg'

/** The two themes; theme.css holds the same colours for what is not a library component. */
const shell = {
  dark: false,
  colors: {
    background: '#fbf6f0',
    surface: '#ffffff',
    primary: '#0e5a63',
    secondary: '#b8432d',
    error: '#a3201d',
    'on-background': '#1f2a2e',
    'on-surface': '#1f2a2e',
    'on-primary': '#ffffff',
    'on-secondary': '#ffffff',
  },
  variables: { 'medium-emphasis-opacity': 0.76 },
}
const deep = {
  dark: true,
  colors: {
    background: '#0c1a1e',
    surface: '#12252a',
    primary: '#6ccbd3',
    secondary: '#ff8f75',
    error: '#ff8080',
    'on-background': '#eaf2f2',
    'on-surface': '#eaf2f2',
    'on-primary': '#0c1a1e',
    'on-secondary': '#0c1a1e',
  },
  variables: { 'medium-emphasis-opacity': 0.8 },
}

/** Fields are 40 px high, 48 for a finger: --control of theme.css. */
const FIELD = window.matchMedia('(pointer: coarse)').matches ? 'comfortable' : 'compact'
/** Of the library's many, those that the controls here show. */
const ICONS = { dropdown: mdiMenuDown, checkboxOn: mdiCheckboxMarked, checkboxOff: mdiCheckboxBlankOutline }
const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce

export const vuetify = createVuetify({
  components: { VApp, VBtn, VTextField },
  // What is done in passing: a button that reads like a word of its line.
  aliases: { PlainBtn: VBtn },
  icons: { defaultSet: 'mdi', sets: { mdi }, aliases: ICONS },
  theme: { defaultTheme: 'shell', themes: { shell, deep }, cspNonce: nonce },
  defaults: {
    VBtn: { variant: 'flat', ripple: false, class: 'btn' },
    PlainBtn: { variant: 'text', ripple: false, class: 'plain' },
    VCheckbox: { density: 'compact', hideDetails: true, color: 'primary' },
    VSelect: { variant: 'outlined', hideDetails: 'auto', density: FIELD, color: 'primary' },
    VCombobox: { variant: 'outlined', hideDetails: 'auto', density: FIELD, color: 'primary' },
    VTextField: { variant: 'outlined', hideDetails: 'auto', density: FIELD, color: 'primary' },
  },
})
