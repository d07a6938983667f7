import { watchEffect } from 'vue'
import { useTheme } from 'vuetify'

import { stored } from '@/shared/state/stored'

type Name = 'shell' | 'deep'
const isName = (v: unknown): v is Name => v === 'shell' || v === 'deep'
const desk = stored<Name>('theme.desk', 'shell', isName)
const bench = stored<Name>('theme.bench', 'deep', isName)

/** Light for the desk, dark for the bench, each changed on its own. */
export function useShopTheme(atBench: () => boolean) {
  const theme = useTheme()
  const chosen = () => (atBench() ? bench : desk)
  watchEffect(() => {
    theme.change(chosen().value)
    document.documentElement.dataset.theme = chosen().value
  })
  return {
    name: () => chosen().value,
    toggle: () => (chosen().value = chosen().value === 'shell' ? 'deep' : 'shell'),
  }
}
