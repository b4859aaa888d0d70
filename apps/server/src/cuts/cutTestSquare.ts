import type { SentToDevice } from '@truelay/contract'
import { corrected, testSquare } from '@truelay/core/cutting'
import { practiceWith } from '@truelay/core/practice'
import { hpglOfCut } from '@truelay/formats/cutFile'
import type { Database } from '../database/openDatabase.ts'
import { readShop } from '../shop/queries.ts'
import { sendToPlotter } from './sendToPlotter.ts'

/** Cuts a square of that side, drawn as every cut is: what is measured of it tells how far cuts are off now. */
export async function cutTestSquare(database: Database, sideMm: number): Promise<SentToDevice> {
  const { plotterAlong, plotterAcross, cutBorder } = practiceWith((await readShop(database)).practice)
  const square = testSquare(sideMm, cutBorder)
  const [first] = square
  const line = corrected(first === undefined ? square : [...square, first], {
    along: plotterAlong / 100,
    across: plotterAcross / 100,
  })
  const reachMm = sideMm + 2 * cutBorder
  return sendToPlotter(
    database,
    hpglOfCut({ title: '', lengthMm: reachMm, widthMm: reachMm, lines: [{ kind: 'outline', line }] }),
  )
}
