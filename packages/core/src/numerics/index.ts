export { singularValues2x2 } from './polar2x2.ts'
export { seededNormal } from './seededNormal.ts'
export { seededRandom } from './seededRandom.ts'
export { lastAnswers } from './lastAnswers.ts'
