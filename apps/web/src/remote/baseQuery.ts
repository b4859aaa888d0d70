import { writeIdHeader } from '@truelay/contract'
import {
  type BaseQueryFn,
  type FetchArgs,
  type FetchBaseQueryError,
  fetchBaseQuery,
} from '@reduxjs/toolkit/query/react'
import { keeper } from './keptWrites/keeper.ts'
import type { WriteKind } from './keptWrites/writeStore.ts'
import { turnedAway } from './signInSlice.ts'

/** More writes than this are not remembered as unanswered; the oldest goes first. */
const mostUnanswered = 100

/**
 * Gives each write an id of its own. One that the server did not answer keeps its id: sent again as it was, it is not done twice, whether or
 * not it had arrived.
 */
export function writeIds(newId: () => string = () => crypto.randomUUID()) {
  const unanswered = new Map<string, string>()
  return {
    idOf(write: unknown): string {
      const key = JSON.stringify(write)
      const id = unanswered.get(key) ?? newId()
      unanswered.set(key, id)
      const [oldest] = unanswered.keys()
      if (unanswered.size > mostUnanswered && oldest !== undefined) unanswered.delete(oldest)
      return id
    },
    answered(write: unknown): void {
      unanswered.delete(JSON.stringify(write))
    },
  }
}

const ask = fetchBaseQuery({ baseUrl: '/api' })

/** Asks; where the server wants to know who does, the screen shows it before anything else. */
const plain: typeof ask = async (request, api, more) => {
  const answer = await ask(request, api, more)
  if (answer.error?.status === 401)
    api.dispatch(
      turnedAway((answer.error.data as { code?: unknown } | null)?.code === 'STRANGER' ? 'STRANGER' : 'SIGN_IN'),
    )
  return answer
}
const ids = writeIds()
const own = new Set<string>()

/** Whether a write came from this page, lately. */
export const isOwnWrite = (id: string): boolean => own.has(id)

function remember(id: string): string {
  own.add(id)
  const [oldest] = own
  if (own.size > mostUnanswered && oldest !== undefined) own.delete(oldest)
  return id
}

/** What was asked before and changes with a write, as it now stands here, by the address under which it was asked. */
export type Shows = (url: string, state: unknown) => { readonly url: string; readonly data: unknown } | null

/** How a write is kept on this tablet while the server is away. */
export interface Keeping {
  readonly what: WriteKind
  /** What the server will answer, as far as it is known here. */
  readonly answer: (url: string, body: unknown, state: unknown) => unknown
  /** Kept for a page that is opened anew. */
  readonly shows?: Shows
}

/** The answers that the app keeps for times without the server. */
const answers = 'answers'
const showKept = async (shown: { readonly url: string; readonly data: unknown } | null): Promise<void> => {
  if (shown === null || typeof caches === 'undefined') return
  const body = new Response(JSON.stringify(shown.data), { headers: { 'content-type': 'application/json' } })
  await (await caches.open(answers)).put(`/api/${shown.url}`, body)
}

/** Asks the server; what changes anything there carries its id. */
export const baseQuery: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError, { keeping?: Keeping }> = async (
  asked,
  api,
  more,
) => {
  const request = typeof asked === 'string' ? { url: asked } : asked
  if ((request.method ?? 'GET') === 'GET') return plain(request, api, more)
  const write = [request.method, request.url, request.body]
  const id = remember(ids.idOf(write))
  const keeping = more?.keeping
  const kept = keeper()
  const keep = async () => {
    if (keeping === undefined || kept === null) return null
    const method = request.method as 'POST' | 'PUT' | 'DELETE'
    await kept.add({ id, what: keeping.what, method, url: request.url, body: request.body as never })
    ids.answered(write)
    await showKept(keeping.shows?.(request.url, api.getState()) ?? null)
    return { data: keeping.answer(request.url, request.body, api.getState()) }
  }
  // What was done after something that waits is not done before it.
  if (keeping !== undefined && kept?.waits()) {
    const behind = await keep()
    if (behind !== null) return behind
  }
  const answer = await plain({ ...request, headers: { [writeIdHeader]: id } }, api, more)
  if (answer.error?.status === 'FETCH_ERROR') {
    const done = await keep()
    if (done !== null) return done
  }
  if (typeof (answer.error?.status ?? 200) === 'number') ids.answered(write)
  return answer
}
