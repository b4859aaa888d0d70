export { type ObjReading, readObj } from './readObj.ts'
export { writeObj } from './writeObj.ts'
