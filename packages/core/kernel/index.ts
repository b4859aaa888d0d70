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
  steady,
} from './film'
export { dot, remember, takeAway } from './mixing'
export { firstFlat, opposites } from './sheet'
