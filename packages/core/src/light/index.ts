export { type LampLight, type LightRequest, lampLight } from './lampLight.ts'
