import type { Person } from '@truelay/contract'
import type { Request } from 'express'

/** From where a request comes, and for whom. */
export interface Who {
  /** From the server's own machine. */
  readonly desk: boolean
  readonly tablet: { readonly id: string; readonly name: string } | null
  readonly person: Person | null
  /** SHA-256 of the session's token; null while nobody is signed in. */
  readonly session: string | null
}

/** Where the server listens on its own machine only, nobody has to say who they are. */
const somebodyHere: Who = { desk: true, tablet: null, person: null, session: null }

const known = new WeakMap<Request, Who>()

export const remember = (req: Request, who: Who): void => {
  known.set(req, who)
}
export const whoOf = (req: Request): Who => known.get(req) ?? somebodyHere
