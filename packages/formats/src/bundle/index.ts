export { type Bundle, readBundle, writeBundle } from './bundle.ts'
