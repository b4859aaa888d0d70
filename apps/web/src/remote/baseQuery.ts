import { writeIdHeader } from '@truelay/contract'
import {
  type BaseQueryFn,
  type FetchArgs,
  type FetchBaseQueryError,
  fetchBaseQuery,
} from '@reduxjs/toolkit/query/react'

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

const plain = fetchBaseQuery({ baseUrl: '/api' })
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

/** Asks the server; what changes anything there carries its id. */
export const baseQuery: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError> = async (asked, api, more) => {
  const request = typeof asked === 'string' ? { url: asked } : asked
  if ((request.method ?? 'GET') === 'GET') return plain(request, api, more)
  const write = [request.method, request.url, request.body]
  const answer = await plain({ ...request, headers: { [writeIdHeader]: remember(ids.idOf(write)) } }, api, more)
  if (typeof (answer.error?.status ?? 200) === 'number') ids.answered(write)
  return answer
}
