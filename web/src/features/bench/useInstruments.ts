import { onScopeDispose, ref, shallowRef, watch } from 'vue'

import { beep } from '@/features/bench/sounds'
import type { Schemas } from '@/shared/api/client'
import { stored } from '@/shared/state/stored'

export type Live = Schemas['LiveShown']
export type Sent = Schemas['SentShown']

const isYes = (value: unknown): value is boolean => typeof value === 'boolean'
/** The pitch of a beep (Hz). */
const PITCH = { near: 660, past: 220 }

/** What the instruments at a bench say, while they are listened to; `took` gets what one of them sent. */
export function useInstruments(job: number, took: (sent: Sent) => void) {
  const listening = stored('bench.instruments', false, isYes)
  const sound = stored('bench.sound', false, isYes)
  const live = shallowRef<Live | null>(null)
  /** The stream is broken: it is taken up again by itself. */
  const lost = ref(false)
  /** While a reference piece is measured, what was sent of it; it is no reading of the step. */
  const reference = shallowRef<Sent[] | null>(null)
  let stream: EventSource | null = null

  const told = (event: MessageEvent<string>): unknown => JSON.parse(event.data)
  function open() {
    stream = new EventSource(`/api/jobs/${job}/live`)
    stream.onopen = () => (lost.value = false)
    stream.onerror = () => (lost.value = true)
    stream.addEventListener('live', (event: MessageEvent<string>) => (live.value = told(event) as Live))
    stream.addEventListener('sent', (event: MessageEvent<string>) => {
      const sent = told(event) as Sent
      if (reference.value) reference.value = [...reference.value, sent]
      else took(sent)
    })
  }
  function close() {
    stream?.close()
    stream = null
    live.value = null
    lost.value = false
  }
  watch(listening, (on) => (on ? open() : close()), { immediate: true })
  onScopeDispose(close)

  const warned = () =>
    live.value?.axes.some((axis) => axis.warned === 'past')
      ? 'past'
      : live.value?.axes.some((axis) => axis.warned === 'near')
        ? 'near'
        : ''
  watch(warned, (now) => {
    if (now && sound.value) beep(PITCH[now])
  })
  return { listening, sound, live, lost, reference }
}
