import { builtinEnvironments, type Environment } from 'vitest/runtime'

/**
 * A page without a browser, for tests of screens. It asks servers with Node's own fetch, since that of the page copies no answers;
 * addresses are those of the page.
 */
const screens: Environment = {
  name: 'screens',
  viteEnvironment: 'client',
  async setup(global, options) {
    const { fetch, Request, Response, Headers, FormData, Blob, File, AbortController, AbortSignal } = globalThis
    const page = await builtinEnvironments['happy-dom'].setup(global, options)
    class PageRequest extends Request {
      constructor(input: RequestInfo | URL, init?: RequestInit) {
        super(typeof input === 'string' ? new URL(input, global.location.href) : input, init)
      }
    }
    Object.assign(global, {
      fetch,
      Request: PageRequest,
      Response,
      Headers,
      FormData,
      Blob,
      File,
      AbortController,
      AbortSignal,
    })
    return page
  },
}

export default screens
