import { notifyManager, type VueQueryPluginOptions } from '@tanstack/vue-query'

// An act goes on from the answer of the one before it: that is shown at once, not a moment later.
notifyManager.setScheduler((tell) => tell())

/** The server is on this machine: it answers without a network, and what it refuses it refuses again. */
export const queries: VueQueryPluginOptions = {
  queryClientConfig: {
    defaultOptions: {
      queries: { networkMode: 'always', retry: false },
      mutations: { networkMode: 'always' },
    },
  },
}
