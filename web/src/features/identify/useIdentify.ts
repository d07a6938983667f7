import { reactive } from 'vue'

import { ask, client, type Schemas } from '@/shared/api/client'
import { stored } from '@/shared/state/stored'
import { useLive } from '@/shared/api/useLive'
import { provideUnit, useUnits } from '@/shared/figures/useUnits'

export type Evidence = Required<Schemas['EvidenceIn']>
export type Instrument = 'caliper' | 'pitch-leaves' | 'rule' | 'angle-leaves' | 'mates'

export const INSTRUMENTS: { code: Instrument; name: string }[] = [
  { code: 'caliper', name: 'caliper' },
  { code: 'pitch-leaves', name: 'pitch gauges' },
  { code: 'rule', name: 'rule' },
  { code: 'angle-leaves', name: 'flank-angle gauges' },
  { code: 'mates', name: 'known nuts and bolts' },
]
const EMPTY: Evidence = {
  outside: '',
  bore: '',
  tpi: '',
  pitch: '',
  fit: '',
  count: '',
  over: '',
  angle: '',
  taper: '',
  hand: '',
  mate: '',
  goes: '',
  marking: '',
  origin: '',
  trade: '',
  worn: '',
  unit: '',
}
const isList = (v: unknown): v is Instrument[] => Array.isArray(v)

/** Evidence as typed, and what it says at each keystroke; the instruments one owns are remembered. */
export function useIdentify() {
  const evidence = reactive<Evidence>({ ...EMPTY })
  /** What is typed with its unit is answered in it. */
  const typedIn = () => {
    const typed = `${evidence.outside} ${evidence.bore} ${evidence.pitch} ${evidence.over}`
    return /mm/i.test(typed) ? 'mm' : /\d\s*(?:in\b|")/i.test(typed) ? 'in' : undefined
  }
  provideUnit(typedIn)
  const { unit } = useUnits(typedIn)
  const owned = stored<Instrument[]>(
    'owned',
    INSTRUMENTS.map((i) => i.code),
    isList,
  )
  /** Shares of series that the person sets, in per cent as typed. */
  const shares = reactive<Record<string, string>>({})
  const whole = () => ({ ...evidence, unit: unit.value })
  const { found, problem } = useLive(
    'identify',
    () => JSON.stringify([whole(), owned.value, shares]),
    () =>
      ask(
        client.POST('/api/identify', {
          body: { evidence: whole(), owned: owned.value, shares: { ...shares } },
        }),
      ),
  )
  /** What was said, without what was not: what a job keeps. */
  const said = () => Object.fromEntries(Object.entries(whole()).filter(([, text]) => text !== ''))
  function forget() {
    Object.assign(evidence, EMPTY)
    for (const series of Object.keys(shares)) delete shares[series]
  }
  return { evidence, owned, shares, found, problem, said, forget }
}
