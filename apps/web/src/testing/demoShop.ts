export { DemoServer } from '../../../server/src/testing/demoServer.ts'
