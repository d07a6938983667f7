import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, onScopeDispose, ref, shallowRef } from 'vue'

import { asProblem, ask, client, type Problem, type Schemas } from '@/shared/api/client'

export type Device = Schemas['DeviceShown']
export type Role = Device['role']

const LOOK_MS = 3000

/** The devices that are known here, and the code that lets another in. */
export function useDevices() {
  const queries = useQueryClient()
  const busy = ref(false)
  const problem = shallowRef<Problem | null>(null)
  const { data: told, dataUpdatedAt } = useQuery({
    queryKey: ['devices'],
    queryFn: () => ask(client.GET('/api/devices')),
    // While a code is shown, the device that takes it is waited for.
    refetchInterval: (query) => (query.state.data?.code ? LOOK_MS : false),
    refetchOnMount: 'always',
  })
  const now = ref(Date.now())
  const clock = window.setInterval(() => (now.value = Date.now()), 1000)
  onScopeDispose(() => window.clearInterval(clock))
  /** Seconds for which the code still serves. */
  const left = computed(() =>
    Math.max(0, (told.value?.code?.seconds ?? 0) - Math.round((now.value - dataUpdatedAt.value) / 1000)),
  )

  async function act(request: () => Promise<Schemas['DevicesShown']>): Promise<boolean> {
    busy.value = true
    try {
      queries.setQueryData(['devices'], await request())
      problem.value = null
      return true
    } catch (error) {
      problem.value = asProblem(error)
      return false
    } finally {
      busy.value = false
    }
  }
  const at = (device: Device) => ({ params: { path: { ident: device.ident } } })
  return {
    told,
    left,
    busy,
    problem,
    letIn: (role: Role) => act(() => ask(client.POST('/api/devices/code', { body: { role } }))),
    change: (device: Device, name: string, role: Role) =>
      act(() => ask(client.PUT('/api/devices/{ident}', { ...at(device), body: { name, role } }))),
    letGo: (device: Device) => act(() => ask(client.POST('/api/devices/{ident}/let-go', at(device)))),
  }
}
