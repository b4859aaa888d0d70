import { register } from 'tsx/esm/api'
import { parentPort, workerData } from 'node:worker_threads'

/** A thread that looks like a page's worker to the source that it runs. */
const heard = new Map()
globalThis.postMessage = (message, transfer) => parentPort.postMessage(message, transfer)
globalThis.addEventListener = (type, listener) => {
  if (type !== 'message') return
  heard.set(listener, (data) => listener({ data }))
  parentPort.on('message', heard.get(listener))
}
globalThis.removeEventListener = (_type, listener) => parentPort.off('message', heard.get(listener))

register()
await import(workerData)
