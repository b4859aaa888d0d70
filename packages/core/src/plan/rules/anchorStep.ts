import { add, scale, subtract, unit } from '../../geometry/index.ts'
import type { PictureMark, PlanContext } from '../planTypes.ts'
import { isWet, type StepDraft, wholePart } from './rule.ts'
import { middleOf } from './strokes.ts'

/** A spot fixed before the rest: a corner with its gaps, a hinge, the flattest place, or what a rehearsal asks for. */
export function anchorStep(c: PlanContext, anchor: PlanContext['anchors'][number]): StepDraft {
  const marks: PictureMark[] = [
    { kind: 'anchor', number: anchor.number, at: anchor.at },
    ...anchor.gaps.map(({ at, normal, wantedMm }) => ({ kind: 'gap' as const, at, normal, mm: wantedMm })),
  ]
  const wanted = [...new Set(anchor.gaps.map((gap) => c.length(gap.wantedMm)))]
  const gapWords =
    wanted.length === 1
      ? `${wanted[0]} from both edges. `
      : wanted.length > 1
        ? `${wanted.join(' and ')} from the edges. `
        : ''
  if (isWet(c)) {
    const inward = unit(subtract(middleOf(c), anchor.at))
    const strokeMarks: PictureMark[] = [-0.5, 0, 0.5].map((turn) => {
      const way = unit(add(inward, scale([-inward[1], inward[0]], turn)))
      return { kind: 'stroke', from: add(anchor.at, scale(way, 180)), to: add(anchor.at, scale(way, 95)) }
    })
    return {
      id: `anchor-${anchor.number}`,
      phase: 'lay',
      headline: `${anchor.gaps.length > 0 ? 'Set' : 'Fix'} the ${anchor.label}`,
      detail: `${gapWords}${drawnWords(anchor)}Lift, tack under it, hold, three short strokes ${anchor.gaps.length > 0 ? 'towards the corner' : 'outward from it'}.`,
      why:
        c.rehearsed !== null
          ? whyAnchor(anchor)
          : anchor.number === 1
            ? 'This corner has the least room: set it first and the rest follows.'
            : 'Next to the last one, so that the edge between them is fixed.',
      minutes: 2,
      inHand: ['tack', 'soft squeegee'],
      uses: 'tack',
      picture: {
        film: 'floating',
        middle: add(anchor.at, scale(inward, 76)),
        radiusMm: 135,
        marks: [...marks, ...strokeMarks],
      },
      driesInMinutes: c.wetMinutes,
    }
  }
  const rehearsed = c.rehearsed !== null
  return {
    id: `anchor-${anchor.number}`,
    phase: 'lay',
    headline: rehearsed ? `Fix the ${anchor.label}` : fromOneEnd(c) ? 'Hinge at one end' : 'Fix the flattest place',
    detail:
      fromOneEnd(c) && anchor.number === 1
        ? `${sentence(anchor.label)}. ${drawnWords(anchor)}Open 50 mm of liner, set it level, press it down.`
        : `${sentence(anchor.label)}. ${drawnWords(anchor)}Press a palm's width with the felt, nothing else touches.`,
    why: rehearsed
      ? whyAnchor(anchor)
      : fromOneEnd(c)
        ? 'It holds the line while the rest is still under its liner.'
        : 'Nothing has to stretch there: it holds while you pull the rest.',
    minutes: 2,
    inHand: ['felt squeegee', 'dry gloves'],
    picture: wholePart('floating', [...marks, { kind: 'zone', at: anchor.at, radiusMm: 45 }]),
  }
}

export const fromOneEnd = (c: PlanContext) =>
  c.schools.begin === 'one end and follow' || c.schools.begin === 'hinge and release'

const drawnWords = (anchor: PlanContext['anchors'][number]) =>
  anchor.drawn === true ? 'Draw the film out first, as far as it gives by hand. ' : ''

const whyAnchor = (anchor: PlanContext['anchors'][number]) =>
  anchor.drawn === true
    ? 'Film that is drawn before it is fixed leaves nothing over between here and the edge.'
    : 'Rehearsed: from here the rest needs the least pulling.'

const sentence = (words: string) => `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`
