// One natural lay in a thread that has laid nothing before: what a lay sheet costs that opens in a new worker.
import { performance } from 'node:perf_hooks'
import { parentPort, workerData } from 'node:worker_threads'
import { register } from 'tsx/esm/api'

register()
const { naturalLay } = await import('@truelay/core/lay')
const began = performance.now()
const lay = naturalLay(workerData)
parentPort.postMessage(lay.ok ? performance.now() - began : Number.NaN)
