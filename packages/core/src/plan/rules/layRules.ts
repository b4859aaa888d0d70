import { add, scale, subtract, unit, type Vec2, boundsOf, lerp } from '../../geometry/index.ts'
import type { Pull } from '../../lay/index.ts'
import type { PictureMark, PlanContext } from '../planTypes.ts'
import { foundOf, isLens, isWet, type PlanRule, type StepDraft, wholePart } from './rule.ts'

/** Everything from the first tack to film that lies. */
export const layRules: readonly PlanRule[] = [
  {
    name: 'measure the gaps while it still floats',
    when: (c) => c.checks.length >= 2,
    steps: (c) => [
      {
        id: 'measure-gaps',
        phase: 'place',
        headline: isWet(c) ? 'Measure the gaps' : 'Check how it sits',
        detail: isWet(c)
          ? `At ${c.checks.length} places, wanted ${wantedWords(c)}. Shift it until it fits, then measure again.`
          : `Hold it over the lens and read how far the film passes the edge at ${c.checks.length} places.`,
        why: 'A millimetre here is a crooked far end there. Now it still costs nothing.',
        minutes: 4,
        inHand: isWet(c) ? ['rule', 'slip'] : ['rule'],
        picture: wholePart(
          'floating',
          c.checks.map(({ id, at, normal }) => ({ kind: 'check', id, at, normal })),
        ),
        records: 'gaps',
        ...(isWet(c) ? { driesInMinutes: c.practice.waitWetFilm } : {}),
      },
    ],
  },
  {
    name: 'set the anchors',
    when: (c) => c.anchors.length > 0,
    steps: (c) => c.anchors.map((anchor) => anchorStep(c, anchor)),
  },
  {
    name: 'pulls of a bulge',
    when: (c) => c.pulls.length > 0,
    steps: (c) => c.pulls.map((pull) => pullStep(c, pull)),
  },
  {
    name: 'light pass, wet',
    when: isWet,
    steps: (c) => [
      {
        id: 'light-pass',
        phase: 'lay',
        headline: 'Light pass, middle to edges',
        detail: 'Wet the face. Strokes overlap by half a blade, blade steep; turn it 45° where a wrinkle comes.',
        why: 'Water has to find its way out before it is pressed.',
        minutes: minutesByArea(c, 6),
        inHand: ['soft squeegee', 'slip on the face'],
        picture: wholePart('floating', strokes(c)),
        driesInMinutes: c.practice.waitWetFilm,
      },
      {
        id: 'firm-pass',
        phase: 'lay',
        headline: 'Firm pass, then once more',
        detail: 'Same strokes, firm. Then an insurance pass over all of it.',
        why: 'What moves under a firm pass is water that would be a bubble tomorrow.',
        minutes: minutesByArea(c, 7),
        inHand: ['firm squeegee', 'slip on the face'],
        picture: wholePart('laid', strokes(c)),
      },
    ],
  },
  {
    name: 'draw into a channel',
    when: (c) => (c.form.channels ?? []).length > 0,
    steps: (c) => [
      {
        id: 'channel',
        phase: 'lay',
        headline: `Deepest first: ${(c.form.channels ?? []).map((channel) => channel.name).join(', ')}`,
        detail:
          'Lay a thin cord in the channel, work 300 to 500 mm at a time with two hands, relax it warm, then draw the cord.',
        why: 'Film that bridges a channel lets go there; the cord lets the air out.',
        minutes: 8,
        inHand: ['thin cord', 'soft squeegee', 'heat gun, always moving'],
        cautions: heatCautions(c),
        picture: wholePart(
          'floating',
          (c.form.channels ?? []).flatMap((channel) =>
            channel.along.slice(1).map(
              (to, i): PictureMark => ({
                kind: 'sweep',
                from: c.toFlat(channel.along[i] ?? to),
                to: c.toFlat(to),
                text: 'deepest first',
              }),
            ),
          ),
        ),
      },
    ],
  },
  {
    name: 'release a dry strip from its hinge',
    when: (c) => !isWet(c) && c.schools.begin === 'one end and follow',
    steps: (c) => [
      {
        id: 'release',
        phase: 'lay',
        headline: 'Release 300 mm at a time',
        detail:
          'Check that it is level, draw off 300 mm of liner, press flat, go on. Lift and lay again gently: thin film tears.',
        why: 'A line that is off by a millimetre at the hinge is off by a hand at the far end.',
        minutes: 6,
        inHand: ['felt squeegee', 'dry gloves'],
        picture: wholePart('floating', strokes(c)),
      },
    ],
  },
  {
    name: 'lay dry outward',
    when: (c) => !isWet(c) && c.schools.begin !== 'one end and follow',
    steps: (c) => [
      {
        id: 'lay-outward',
        phase: 'lay',
        headline: 'Lay outward, front kept straight',
        detail:
          'From the fixed place to the sides, a little at a time. Lift and lay again gently as often as you like.',
        why: 'Many small wrinkles spread wide lie down; one big fold never does.',
        minutes: 8,
        inHand: ['felt squeegee', 'dry gloves'],
        picture: wholePart('floating', strokes(c)),
      },
    ],
  },
]

function wantedWords(c: PlanContext): string {
  const wanted = [...new Set(c.checks.map((check) => c.length(Math.abs(check.wantedMm))))]
  return wanted.length === 1 ? `${wanted[0]} everywhere` : 'as marked'
}

function anchorStep(c: PlanContext, anchor: PlanContext['anchors'][number]): StepDraft {
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
      headline: `Set the ${anchor.label}`,
      detail: `${gapWords}Lift, tack under it, hold, three short strokes towards the corner.`,
      why:
        anchor.number === 1
          ? 'This corner has the least room: set it first and the rest follows.'
          : 'Next to the last one, so that the edge between them is fixed.',
      minutes: 2,
      inHand: ['tack', 'soft squeegee'],
      picture: {
        film: 'floating',
        middle: add(anchor.at, scale(inward, 76)),
        radiusMm: 135,
        marks: [...marks, ...strokeMarks],
      },
      driesInMinutes: c.practice.waitWetFilm,
    }
  }
  return {
    id: `anchor-${anchor.number}`,
    phase: 'lay',
    headline: c.schools.begin === 'one end and follow' ? 'Hinge at one end' : 'Fix the flattest place',
    detail:
      c.schools.begin === 'one end and follow'
        ? `${sentence(anchor.label)}. Open 50 mm of liner, set it level, press it down.`
        : `${sentence(anchor.label)}. Press a palm's width with the felt, nothing else touches.`,
    why:
      c.schools.begin === 'one end and follow'
        ? 'It holds the line while the rest is still under its liner.'
        : 'Nothing has to stretch there: it holds while you pull the rest.',
    minutes: 2,
    inHand: ['felt squeegee', 'dry gloves'],
    picture: wholePart('floating', [...marks, { kind: 'zone', at: anchor.at, radiusMm: 45 }]),
  }
}

function pullStep(c: PlanContext, pull: Pull): StepDraft {
  const edge = c.form.edges.find((e) => e.name === pull.edge)?.label ?? pull.edge
  const percent = `${pull.percent.toFixed(1)} %`
  const at = c.toFlat(pull.at)
  const tip = c.toFlat([pull.at[0] + 40 * pull.direction[0], pull.at[1] + 40 * pull.direction[1]])
  const way = unit(subtract(tip, at))
  const long = reachOf(c) / 3.5
  const marks: PictureMark[] =
    pull.way === 'towards'
      ? [{ kind: 'pull', from: at, to: add(at, scale(way, long)), text: percent }]
      : [
          { kind: 'pull', from: at, to: add(at, scale(way, long)), text: percent },
          { kind: 'pull', from: at, to: add(at, scale(way, -long)) },
        ]
  const warm = pull.heat === 'warm'
  return {
    id: `pull-${pull.letter}`,
    phase: 'lay',
    headline: `Pull ${pull.letter}: ${pull.way === 'towards' ? `towards the ${edge}` : `along the ${edge}, both ways`}`,
    detail: `${percent} longer there${warm ? `, warm: ${c.temperature(c.practice.heatSoften)} over a broad area, cool a few seconds` : ', by hand'}. A little past the mark, let go fast, then lay.`,
    why: `Without it ${fingersWords(c, pull.edge)}${pull.glueLineRisk ? ' Let it relax before laying, or it leaves a glue line.' : ''}`,
    minutes: warm ? 4 : 2,
    inHand: warm ? ['heat gun, always moving', 'infra-red thermometer'] : [isWet(c) ? 'tack' : 'dry gloves'],
    cautions: [
      ...(warm ? heatCautions(c) : []),
      ...(foundOf(c, 'repaint').length > 0
        ? ['Repainted: pull from the middle of the film, never on an edge; stop if paint comes along.']
        : []),
    ],
    picture: wholePart('floating', marks),
  }
}

const sentence = (words: string) => `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`

function fingersWords(c: PlanContext, edge: string): string {
  const planned = c.edges.find((e) => e.name === edge)
  if (planned === undefined || planned.unpulledMmPer100 < 0.1) return 'the rest of the film would have to give.'
  return `${c.length(planned.unpulledMmPer100)} of film per ${c.length(100)} would be left at the ${planned.label}: fingers.`
}

export function heatCautions(c: PlanContext): string[] {
  const cautions = [
    `Never hold the gun still; damage begins at about ${c.temperature(Math.min(c.film.damageC, c.practice.heatDamage))}.`,
  ]
  if (isWet(c)) cautions.push('Let alcohol flash off first: vapour and a hot gun catch fire.')
  cautions.push(
    isLens(c)
      ? 'No heat on a cracked or crazed lens. Keep it off sensors; follow the vehicle maker’s instructions.'
      : 'Keep heat off sensors and airbags; follow the vehicle maker’s instructions.',
  )
  return cautions
}

const minutesByArea = (c: PlanContext, perM2: number) => Math.max(2, Math.round((c.areaMm2 / 1e6) * perM2))

const middleOf = (c: PlanContext): Vec2 => {
  const box = boundsOf(c.drawing.part)
  return lerp(box.min, box.max, 0.5)
}

const reachOf = (c: PlanContext) => {
  const box = boundsOf(c.drawing.part)
  return Math.min(box.max[0] - box.min[0], box.max[1] - box.min[1])
}

/** Six strokes, as picture marks, from the first fixed place (or the middle) towards the edges. */
export function strokes(c: PlanContext): PictureMark[] {
  const from = c.schools.begin === 'flattest first' ? (c.anchors[0]?.at ?? middleOf(c)) : middleOf(c)
  const box = boundsOf(c.drawing.part)
  const half: Vec2 = [(box.max[0] - box.min[0]) / 2, (box.max[1] - box.min[1]) / 2]
  return [15, 75, 135, 195, 255, 315].map((angleDeg) => {
    const a = (angleDeg * Math.PI) / 180
    const way: Vec2 = [Math.cos(a) * half[0], Math.sin(a) * half[1]]
    return { kind: 'stroke', from: add(from, scale(way, 0.15)), to: add(from, scale(way, 0.62)) }
  })
}
