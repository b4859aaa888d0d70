export { corrected, type PlotterScale, scaleMeasured, testSquare, trueScale } from './calibration.ts'
export { type Knife, knifeWay } from './knife.ts'
export { type CutLoop, cutOrder, type LyingPiece } from './cutOrder.ts'
