import { Problem } from '@/shared/api/client'

/** How long a key is: as hexadecimal digits of so many random bytes. */
const KEY_BYTES = 16

/** Keys of what was done on this page. */
const own = new Set<string>()
export const isOwn = (key: string) => own.has(key)

export function newKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(KEY_BYTES))
  const key = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('')
  own.add(key)
  return key
}

export interface ActHeader {
  'Idempotency-Key': string
}

/** Whether nobody knows if it was done: the answer was lost, or the server gave up. */
const unknown = (error: unknown) => !(error instanceof Problem) || error.status === 0 || error.status >= 500

/**
 * Sends acts, each with a key of its own. One whose answer was lost keeps its key for when it is tried again: the server
 * does it once. `act` tells acts apart: what is done, and all that is sent.
 */
export function useActs() {
  let lost = { act: '', key: '' }
  return async function send<T>(act: unknown[], request: (header: ActHeader) => Promise<T>): Promise<T> {
    const told = JSON.stringify(act)
    const key = lost.act === told ? lost.key : newKey()
    try {
      const answer = await request({ 'Idempotency-Key': key })
      lost = { act: '', key: '' }
      return answer
    } catch (error) {
      lost = unknown(error) ? { act: told, key } : { act: '', key: '' }
      throw error
    }
  }
}
