export { readStandingFit } from '../../../server/src/fit/keptState.ts'
export { DemoServer } from '../../../server/src/testing/demoServer.ts'
