import { ask, client, type Schemas } from '@/shared/api/client'
import { useActs } from '@/shared/jobs/useActs'

type Standing = Schemas['StandingShown']
/** What an act says its screen showed. */
export type Seen = Pick<Standing, 'id' | 'last' | 'revision'>

/** What can be done to a whole job, from wherever it is shown. */
export function useJobActs() {
  const send = useActs()
  const parts = (job: Seen, header: { 'Idempotency-Key': string }) => ({
    params: { path: { job_id: job.id }, header },
    body: { last: job.last, revision: job.revision },
  })
  const plain =
    (what: 'release' | 'reopen' | 'archive' | 'take-out' | 'delete') =>
    (job: Seen): Promise<Standing> =>
      send([what, job.id, job.last, job.revision], (header) =>
        ask(client.POST(`/api/jobs/{job_id}/${what}`, parts(job, header))),
      )
  const reasoned =
    (what: 'hold' | 'close') =>
    (job: Seen, reason: string): Promise<Standing> =>
      send([what, job.id, job.last, job.revision, reason], (header) => {
        const { params, body } = parts(job, header)
        return ask(client.POST(`/api/jobs/{job_id}/${what}`, { params, body: { ...body, reason } }))
      })
  /** The job as its lists know it, whatever became of it. */
  const standing = (id: number): Promise<Standing> =>
    ask(client.GET('/api/jobs/{job_id}/standing', { params: { path: { job_id: id } } }))
  return {
    standing,
    hold: reasoned('hold'),
    close: reasoned('close'),
    release: plain('release'),
    reopen: plain('reopen'),
    archive: plain('archive'),
    takeOut: plain('take-out'),
    remove: plain('delete'),
  }
}
