import { distance } from '../../geometry/index.ts'
import { name, paragraph, say, type Sentence } from '../../say/index.ts'
import type { PlanContext } from '../planContext.ts'
import { staticCautions } from './findingRules.ts'
import { bottleOf, fromRoll, isWet, type PlanRule, wholePart } from './rule.ts'

/** A pre-cut piece with openings is rolled on from one dry corner: floated, its openings would fold onto themselves. */
export const rolledOn = (c: PlanContext) =>
  isWet(c) && !fromRoll(c) && c.form.family === 'panel' && c.openings.length > 0

/** Where its liner comes apart: at the opening that lies furthest from the corner where it begins. */
const linerPart = (c: PlanContext): Sentence => {
  const openings = c.openings.flat()
  const from = c.anchors[0]?.at ?? ([0, 0] as const)
  const [last] = [...openings].sort((a, b) => distance(b.at, from) - distance(a.at, from))
  return openings.length > 2 || last === undefined
    ? say`The liner comes off behind it in one.`
    : say`The liner comes off behind it in two parts: the second from the ${name(last.label)} on.`
}

export const rollOnRule: PlanRule = {
  name: 'roll a piece with openings on from one dry corner',
  when: rolledOn,
  steps: (c) => {
    const [corner] = c.anchors
    const slip = bottleOf(c, 'slip')
    return [
      {
        id: 'grip',
        phase: 'place',
        headline: corner === undefined ? say`One corner dry, as a grip` : say`Grip: ${corner.label}, dry`,
        detail: say`Wipe that corner dry, peel a palm’s width of liner there, press it on in its place.`,
        why: say`It holds the piece while you unroll it, and comes off again with a little slip.`,
        minutes: c.practice.takesGripCorner,
        tools: ['dry cloth', 'piece'],
        picture: wholePart(
          'floating',
          corner === undefined
            ? []
            : [
                { kind: 'anchor', number: corner.number, at: corner.at },
                { kind: 'zone', at: corner.at, radiusMm: 60, text: say`dry` },
              ],
        ),
      },
      {
        id: 'back-roll',
        phase: 'place',
        headline: say`Roll it on backwards`,
        wets: true,
        detail: paragraph(
          slip === undefined
            ? say`Rolled up, liner outside; unroll it along the part, slip on part and adhesive as they meet.`
            : say`Rolled up, liner outside; unroll it along the part, ${slip.says} on part and adhesive as they meet.`,
          linerPart(c),
          say`Then free the dry corner: it glides.`,
        ),
        why: say`Adhesive that is still rolled up cannot fold onto itself, and openings come down where they belong.`,
        minutes: c.practice.takesBackRoll,
        people: c.hands,
        liquids: ['slip'],
        tools: ['wet hands'],
        cautions: staticCautions(c),
        picture: wholePart('floating'),
        driesInMinutes: c.wetMinutes,
        within: [
          {
            since: 'soak',
            mostMinutes: c.practice.mostSoakToPeel,
            says: say`the part has dry spots: spray it once more`,
          },
        ],
      },
    ]
  },
}
