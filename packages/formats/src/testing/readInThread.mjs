// Reads hostile files in a thread of its own, so that one that never ends can be ended from outside.
import { parentPort } from 'node:worker_threads'
import { register } from 'tsx/esm/api'

register()
const { readers } = await import('./readAny.ts')
parentPort?.on('message', ({ kind, bytes }) => {
  const began = performance.now()
  try {
    const result = readers[kind](bytes)
    const fault =
      result.ok || (result.failure.sentence.text && result.failure.fix.text) ? null : 'a refusal without words'
    parentPort?.postMessage({ ms: performance.now() - began, ok: result.ok, fault })
  } catch (error) {
    parentPort?.postMessage({ ms: performance.now() - began, ok: false, fault: String(error?.stack ?? error) })
  }
})
parentPort?.postMessage({ ready: true })
