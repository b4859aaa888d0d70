declare module 'comlink/dist/esm/node-adapter.mjs' {
  import type { Endpoint } from 'comlink'
  import type { Worker } from 'node:worker_threads'

  /** A thread of Node as what comlink speaks to. */
  export default function nodeEndpoint(thread: Worker): Endpoint
}
