// A hand of a search in a thread of Node, as the screens have it in a worker.
import { parentPort } from 'node:worker_threads'
import { expose } from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { register } from 'tsx/esm/api'

register()
const { trialHand } = await import('../../apps/web/src/workers/trialHand.ts')
expose(trialHand(), nodeEndpoint(parentPort))
