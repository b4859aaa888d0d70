import { say } from '../../say/index.ts'
import { figures } from '../practiceFigure.ts'
import { takes } from './takes.ts'

/** Steps from the first edge to the last look. */
export const minutesAtEdges = figures(say`Minutes of the steps at the edges and after`, {
  takesFlush: takes(say`Edges rinsed and pressed`, 5, 1, 30, say`All round once, a cloth over the squeegee.`),
  takesFingers: takes(say`Fingers worked out`, 5, 1, 40, say`Lifted, warmed, shared out, pressed.`),
  takesTrimWrap: takes(say`What is turned under, trimmed and notched`, 4, 1, 30, say`Corners are notched one by one.`),
  takesGrab: takes(say`Edges left to grab`, 1, 0.5, 10, say`A look; the clock runs by itself.`),
  takesRelax: takes(say`Edges relaxed`, 4, 1, 20, say`Warm, with no hand on them.`),
  takesPressAgain: takes(say`Coming back to press`, 3, 0.5, 20, say`Only where there were fingers.`),
  takesTuck: takes(say`An edge tucked`, 4, 1, 30, say`A thin tool, from the middle outward.`),
  takesGapCut: takes(say`A cut in the gap`, 5, 1, 30, say`One cut without setting down, the blade in the gap.`),
  takesSurfaceCut: takes(say`A cut on the surface`, 6, 1, 40, say`Light enough for film only; a fresh segment first.`),
  takesCrestLook: takes(say`Does it end on the crest?`, 2, 0.5, 15, say`A finger all round.`),
  takesTurnWrap: takes(say`An edge turned`, 4, 1, 30, say`Pressed round it and behind it, corners last.`),
  takesOpeningCut: takes(say`Film cut round an opening`, 2, 0.5, 15, say`Along its rim, the surplus lifted off.`),
  takesBehind: takes(say`What lies behind a lid or door`, 2, 0.5, 15, say`Opened, trimmed, pressed, closed gently.`),
  takesWarmEdges: takes(say`Cut edges warmed`, 4, 1, 30, say`A hand’s breadth of gun at a time, glove behind it.`),
  takesSeal: takes(say`Edges sealed`, 5, 1, 30, say`Up to temperature and pressed until it is cool.`),
  takesPostHeat: takes(say`Post-heat`, 5, 1, 40, say`All that was pulled, read with the thermometer.`),
  takesBubbles: takes(say`Bubbles are looked for`, 3, 0.5, 20, say`Low light from two sides.`),
  takesUnmask: takes(say`Tape comes off`, 2, 0.5, 15, say`Slowly, drawn back over itself.`),
  takesLook: takes(say`Edges are walked`, 4, 1, 20, say`All round once with the light low.`),
  takesHandOn: takes(say`Wiped and photographed`, 3, 0.5, 20, say`A dry cloth, a photo of each side.`),
})
