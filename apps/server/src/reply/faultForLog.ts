/** A fault as the log tells it. */
export interface LoggedFault {
  readonly type: string
  readonly code?: string
  /** Where in the code, outermost call last. */
  readonly at: readonly string[]
  readonly cause?: LoggedFault
}

const mostFrames = 12

/**
 * What a log says of a fault: its kind, its code and where it came up. Never its message, as those of the database and of readers carry what was
 * being written: names, plates, addresses of customers.
 */
export function faultForLog(error: unknown): LoggedFault {
  if (!(error instanceof Error)) return { type: typeof error, at: [] }
  const { code } = error as { readonly code?: unknown }
  const frames = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line))
  return {
    type: error.name,
    ...(typeof code === 'string' ? { code } : {}),
    at: frames.slice(0, mostFrames).map((line) => line.trim()),
    ...(error.cause === undefined ? {} : { cause: faultForLog(error.cause) }),
  }
}
