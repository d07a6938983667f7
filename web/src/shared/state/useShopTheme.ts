import { watchEffect } from 'vue'
import { useTheme } from 'vuetify'

import { stored } from '@/shared/state/stored'
import { useSystemDark } from '@/shared/state/useScreen'

type Name = 'shell' | 'deep'
const isName = (v: unknown): v is Name | '' => v === 'shell' || v === 'deep' || v === ''
/** Empty until somebody chooses: the desk is as the system is. */
const desk = stored<Name | ''>('theme.desk', '', isName)
const bench = stored<Name | ''>('theme.bench', 'deep', isName)

/** The desk as light or dark as the system, the bench dark, each changed on its own. */
export function useShopTheme(atBench: () => boolean) {
  const theme = useTheme()
  const system = useSystemDark()
  const chosen = () => (atBench() ? bench : desk)
  const name = (): Name => chosen().value || (system.value ? 'deep' : 'shell')
  watchEffect(() => {
    theme.change(name())
    document.documentElement.dataset.theme = name()
  })
  return {
    name,
    toggle: () => (chosen().value = name() === 'shell' ? 'deep' : 'shell'),
  }
}
