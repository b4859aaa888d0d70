import { sayProblem, type WireFailure } from '@truelay/contract'
import type { AnyFailure } from '@truelay/core/result'
import { name, say, type Sentence, verbatim } from '@truelay/core/say'
import type { ErrorRequestHandler, Response } from 'express'
import type { Logger } from 'pino'
import { ZodError } from 'zod'
import { isDiskFull, isDiskLocked } from '../database/startTrouble.ts'
import { StoredFault } from '../database/stored.ts'
import { faultForLog } from './faultForLog.ts'

/** Something that the request named is not there. */
export class NotFound extends Error {
  constructor(
    readonly sentence: Sentence,
    readonly fix: Sentence,
    readonly code = 'NOT_FOUND',
  ) {
    super(sentence.text)
  }
}

/** The request is understood but cannot be done. */
export class Refused extends Error {
  constructor(readonly failure: Pick<AnyFailure, 'sentence' | 'fix'> & { code: string }) {
    super(failure.sentence.text)
  }
}

const fail = (res: Response, status: number, failure: WireFailure) => {
  res.status(status).json(failure)
}

interface BodyError {
  readonly type?: string
  readonly status?: number
}

/** What a request can have wrong beyond its content, by the status with which it is answered. */
const mistakes: ReadonlyMap<number, WireFailure> = new Map([
  [
    400,
    {
      code: 'BAD_REQUEST',
      sentence: say`The request cannot be read: its address or its length is damaged.`,
      fix: say`Send it again as it should be; nothing was changed.`,
    },
  ],
  [
    412,
    {
      code: 'CHANGED_SINCE',
      sentence: say`What is here is not what the request expects.`,
      fix: say`Ask for it anew.`,
    },
  ],
  [
    415,
    {
      code: 'OTHER_ENCODING',
      sentence: say`The request is written in a way that is not read here.`,
      fix: say`Send JSON in UTF-8, packed with gzip or not at all; nothing was changed.`,
    },
  ],
  [
    416,
    {
      code: 'NO_SUCH_RANGE',
      sentence: say`It is shorter than the range that is asked for.`,
      fix: say`Ask for all of it.`,
    },
  ],
])

const diskFull: WireFailure = {
  code: 'NO_ROOM',
  sentence: say`There is no room on the disk of the server.`,
  fix: say`Make room there. What was done in a fit stays on this tablet and goes by itself; anything else has to be done again.`,
}
const diskLocked: WireFailure = {
  code: 'NOT_WRITABLE',
  sentence: say`The server cannot write where it keeps the shop.`,
  fix: say`Tell whoever keeps it. What was done in a fit stays on this tablet and goes by itself; anything else has to be done again.`,
}

/** The status that a library gave to its error; 500 where it gave none. */
const statusOf = (error: unknown): number => {
  const { status } = error as { readonly status?: unknown }
  return error instanceof URIError ? 400 : typeof status === 'number' ? status : 500
}

/** The one place where errors become answers: a sentence, what to do, and where. */
export const errorHandler =
  (log: Logger): ErrorRequestHandler =>
  (error: unknown, req, res, _next) => {
    if (error instanceof NotFound) return fail(res, 404, { code: error.code, sentence: error.sentence, fix: error.fix })
    if (error instanceof StoredFault) {
      log.error(
        { kind: error.kind, id: error.id, where: error.where, method: req.method, path: req.path },
        'a stored document cannot be read',
      )
      return fail(res, 500, {
        code: 'STORED_UNREADABLE',
        sentence: say`What is kept as ${verbatim(error.kind)} "${name(error.id)}" cannot be read.`,
        fix: say`Nothing was changed. Tell whoever keeps this server; a backup may hold a readable one.`,
      })
    }
    if (error instanceof Refused) {
      // A failure of a computation holds its facts as well; what goes over the wire is what it says.
      const { code, sentence, fix } = error.failure
      return fail(res, 422, { code, sentence, fix })
    }
    if (error instanceof ZodError) {
      const { where, sentence } = sayProblem(error)
      return fail(res, 400, {
        code: 'BAD_REQUEST',
        sentence,
        fix: say`Correct that value and send it again; nothing was changed.`,
        where,
      })
    }
    const body = error as BodyError
    if (body.type === 'entity.parse.failed')
      return fail(res, 400, {
        code: 'NOT_JSON',
        sentence: say`The request is not valid JSON.`,
        fix: say`Send one JSON document.`,
      })
    if (body.type === 'entity.too.large')
      return fail(res, 413, {
        code: 'TOO_LARGE',
        sentence: say`The request is larger than 4 MB.`,
        fix: say`Send less at a time.`,
      })
    if (isDiskFull(error) || isDiskLocked(error)) {
      log.error({ fault: faultForLog(error), method: req.method, path: req.path }, 'nothing can be written')
      return fail(res, 507, isDiskFull(error) ? diskFull : diskLocked)
    }
    const mistake = mistakes.get(statusOf(error))
    if (mistake !== undefined) return fail(res, statusOf(error), mistake)
    log.error({ fault: faultForLog(error), method: req.method, path: req.path }, 'request failed')
    return fail(res, 500, {
      code: 'SERVER_FAULT',
      sentence: say`The server could not do that, and the fault is not yours.`,
      fix: say`Try again; the server log has the details.`,
    })
  }
