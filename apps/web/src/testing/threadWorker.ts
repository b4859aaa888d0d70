import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { pathToFileURL } from 'node:url'
import { Worker as Thread } from 'node:worker_threads'

type Listener = (event: { readonly data: unknown }) => void

/** A page's worker as a thread of Node, running the same source: screens are tested with the real computations. */
export class ThreadWorker {
  private readonly thread: Thread
  private readonly listeners = new Map<Listener, (data: unknown) => void>()
  onerror: ((error: unknown) => void) | null = null

  constructor(address: URL | string) {
    this.thread = new Thread(resolve('apps/web/src/testing/threadEntry.mjs'), {
      workerData: sourceOf(String(address)),
    })
    this.thread.unref()
    this.thread.on('error', (error) => this.onerror?.(error))
  }

  addEventListener(type: string, listener: Listener) {
    if (type !== 'message') return
    const heard = (data: unknown) => listener({ data })
    this.listeners.set(listener, heard)
    this.thread.on('message', heard)
  }

  removeEventListener(type: string, listener: Listener) {
    const heard = this.listeners.get(listener)
    if (type === 'message' && heard !== undefined) this.thread.off('message', heard)
  }

  postMessage(message: unknown, transfer: readonly ArrayBuffer[] = []) {
    this.thread.postMessage(message, [...transfer])
  }

  terminate() {
    void this.thread.terminate()
  }
}

/** The test runner serves sources at addresses below its own root, which is where the tests run. */
function sourceOf(address: string): string {
  const { pathname } = new URL(address, 'file:///')
  return pathToFileURL(existsSync(pathname) ? pathname : resolve(`.${pathname}`)).href
}
