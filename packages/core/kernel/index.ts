export { dissect, eliminationTree, factorColumns, factorise, solvePairs, trianglesRound } from './elimination'
export {
  boxStep,
  gradients,
  laplacian,
  longest,
  measure,
  move,
  pull,
  rangeOf,
  rotations,
  singularValues,
  steady, turnLikeSeen,
} from './film'
export { dot, remember, takeAway } from './mixing'
export { lossAt, pairLoss } from './overlaps'
export { facing, firstFlat, opposites } from './sheet'
export { handOnAcross, stepStacks } from './stacks'
