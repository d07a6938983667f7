import createClient from 'openapi-fetch'

import type { components, paths } from '@/shared/api/schema.generated'

export type Schemas = components['schemas']
export type Figure = Schemas['FigureShown']
export type Shown = Schemas['Shown']
export type Sheet = Schemas['SheetShown']
export type Operation = Schemas['StepShown']
export type JobCard = Schemas['JobCard']
export type Standing = Schemas['StandingShown']
export type Job = Schemas['JobShown']
export type JobDocument = Schemas['JobDocument']
export type Plan = Schemas['PlanShown']
export type Bench = Schemas['JobBench']
export type FieldError = Schemas['FieldError']
export type Unit = 'in' | 'mm'

/** What went wrong with a request: the server's problem details, or that it could not be reached. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly errors: FieldError[] = [],
    /** Stable and machine readable: "moved-on", "unreadable-job". */
    readonly code = '',
  ) {
    super(message)
  }

  /** The message for a field, or for its first error when no field is named. */
  of(field: string): FieldError | undefined {
    return this.errors.find((error) => error.field === field)
  }
}

const token = () => document.cookie.match(/(?:^|; )csrftoken=([^;]+)/)?.[1] ?? ''

/** What is told when the server does not know this device any more, or not yet. */
export const NOT_KNOWN = 'conch-not-known'

/** A request goes out in the turn it is asked for in: before the page draws what was typed, not after it. */
async function send(request: Request): Promise<Response> {
  if (request.method !== 'GET') request.headers.set('X-CSRFToken', token())
  const answer = await fetch(request)
  if (answer.status === 401) window.dispatchEvent(new Event(NOT_KNOWN))
  return answer
}

export const client = createClient<paths>({ baseUrl: '/', fetch: send })

interface Answer<T> {
  data?: T
  error?: unknown
  response: Response
}

function problemOf(error: unknown, status: number): Problem {
  const told = error as Partial<Schemas['Problem']> | undefined
  return new Problem(
    status,
    told?.detail ??
      'Conch reported an error without a reason. Try again; if it happens again, restart Conch.',
    told?.errors ?? [],
    told?.code,
  )
}

/** The data of a request, or a Problem thrown; a dead connection is a Problem of status 0. */
export async function ask<T>(request: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>
  try {
    answer = await request
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error
    throw new Problem(0, 'Conch does not answer. Check that it is running. What you typed is still here.')
  }
  if (answer.data === undefined) throw problemOf(answer.error, answer.response.status)
  return answer.data
}

export const asProblem = (error: unknown): Problem =>
  error instanceof Problem ? error : new Problem(0, error instanceof Error ? error.message : String(error))
