import { english } from '@truelay/words'
import { beforeAll, describe, expect, test } from 'vitest'
import type { PlanContext } from './planContext.ts'
import { planRules } from './rules/index.ts'
import { finishStep } from './rules/rule.ts'
import { testContexts } from './testContexts.ts'

/** What a rule of the plan brings, and under which of the test conditions. */
interface RuleRow {
  readonly rule: string
  /**
   * The conditions under which it holds: by name, or all of a part ("door …"), or all of a part but some
   * ("door … but chip / dent").
   */
  readonly holds: 'always' | readonly string[]
  /** The one whose steps are told. */
  readonly shownBy: string
  readonly steps: readonly {
    readonly id: string
    readonly phase: string
    readonly headline: string
    readonly detail: string
    readonly tools: readonly string[]
    readonly liquids: readonly string[]
    readonly cautions: readonly string[]
    readonly heat: string | null
    readonly people: number
    readonly minutes: number
  }[]
}

/** The conditions that a row means, of all that there are. */
function conditionsOf({ holds }: RuleRow, all: readonly string[]): string[] {
  if (holds === 'always') return [...all]
  const meant = new Set(
    holds.flatMap((entry) => {
      const [base = '', but] = entry.split(' … but ')
      if (but === undefined && !entry.endsWith(' …')) return [entry]
      const part = base.replace(/ …$/, '')
      const not = (but ?? '').split(' / ').map((name) => (name === 'as it is' ? part : `${part}, ${name}`))
      return all.filter((name) => (name === part || name.startsWith(`${part}, `)) && !not.includes(name))
    }),
  )
  return all.filter((name) => meant.has(name))
}

/** Every rule, with what a practitioner reads of it. A change of a rule changes its row, and that is to be read. */
const ruleTable: readonly RuleRow[] = [
  {
    rule: 'ask about a cracked or crazed lens',
    holds: [
      'door, cracked lens',
      'door, crazed lens',
      'dry lamp, cracked lens',
      'dry lamp, crazed lens',
      'wet lamp, cracked lens',
      'wet lamp, crazed lens',
    ],
    shownBy: 'door, cracked lens',
    steps: [
      {
        id: 'ask-cracked',
        phase: 'prepare',
        headline: 'Ask: cover a damaged lens?',
        detail: 'Show the customer the place. Laid without heat and without alcohol, or left bare.',
        tools: [],
        liquids: [],
        cautions: ['no heat'],
        heat: null,
        people: 1,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'raise the vehicle for a low part',
    holds: ['door, low and cold', 'dry lamp, low and cold', 'wet lamp, low and cold'],
    shownBy: 'door, low and cold',
    steps: [
      {
        id: 'raise',
        phase: 'prepare',
        headline: 'Raise the vehicle',
        detail: 'Ramps or lift, until the part is at chest height and its lower edge can be seen.',
        tools: [],
        liquids: [],
        cautions: ['lifting'],
        heat: null,
        people: 1,
        minutes: 6,
      },
    ],
  },
  {
    rule: 'see how far the body is out of true',
    holds: ['door, out of true', 'dry lamp, out of true', 'wet lamp, out of true'],
    shownBy: 'door, out of true',
    steps: [
      {
        id: 'true-check',
        phase: 'prepare',
        headline: 'Hold the piece up before anything else',
        detail: 'Liner on, dry. Even left to right counts; up to 1.5 mm more gap is allowed here.',
        tools: ['piece', 'rule', 'magnets'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'fix loose trim',
    holds: ['door, loose trim', 'dry lamp, loose trim', 'wet lamp, loose trim'],
    shownBy: 'door, loose trim',
    steps: [
      {
        id: 'loose-trim',
        phase: 'prepare',
        headline: 'Fix the loose trim',
        detail: 'Clip it back or take it off and bag it with its screws.',
        tools: [],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 5,
      },
    ],
  },
  {
    rule: 'take film from before off',
    holds: ['door, previous film', 'dry lamp, previous film', 'wet lamp, previous film'],
    shownBy: 'door, previous film',
    steps: [
      {
        id: 'strip-film',
        phase: 'prepare',
        headline: 'Take the old film off',
        detail:
          'Warm it to about 48 °C, draw it off flat and slowly. Then its glue, with the remover the paint’s maker allows.',
        tools: ['heat gun', 'gloves'],
        liquids: ['glue remover'],
        cautions: ['solvent', 'heat', 'heat', 'heat'],
        heat: null,
        people: 1,
        minutes: 20,
      },
    ],
  },
  {
    rule: 'take sprayed tint off',
    holds: ['door, sprayed tint', 'dry lamp, sprayed tint', 'wet lamp, sprayed tint'],
    shownBy: 'door, sprayed tint',
    steps: [
      {
        id: 'strip-tint',
        phase: 'prepare',
        headline: 'Take the sprayed tint off',
        detail: 'Mask the paint. Solvent on a cloth, small areas, wipe at once, wash after. Try a corner first.',
        tools: ['masking tape', 'cloths'],
        liquids: ['coating solvent'],
        cautions: ['solvent'],
        heat: null,
        people: 1,
        minutes: 25,
      },
    ],
  },
  {
    rule: 'rust is treated or left bare',
    holds: ['door, rust', 'dry lamp, rust', 'wet lamp, rust'],
    shownBy: 'door, rust',
    steps: [
      {
        id: 'rust',
        phase: 'prepare',
        headline: 'Rust: treated, or left bare?',
        detail: 'Film does not hold on rust. Agree with the customer before going on.',
        tools: [],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'read a part that nobody has measured',
    holds: ['roof that nobody has measured'],
    shownBy: 'roof that nobody has measured',
    steps: [
      {
        id: 'read-part',
        phase: 'prepare',
        headline: 'Read its length and width',
        detail:
          'About 1200 mm by 1500 mm as a rule. Tape over its face, feel behind each edge what film can hold on to, lay a straightedge over its bulge: two readings on the form bench are enough to begin with.',
        tools: ['tape measure', 'rule'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 5,
      },
    ],
  },
  {
    rule: 'wash and clay',
    holds: 'always',
    shownBy: 'door',
    steps: [
      {
        id: 'clean',
        phase: 'prepare',
        headline: 'Wash, clay, wipe',
        detail: 'Wash round the part and in the shut lines, clay with slip as lubricant, wipe off.',
        tools: ['clay', 'cloth'],
        liquids: ['no-residue wash'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 12,
      },
    ],
  },
  {
    rule: 'mask around a lens',
    holds: [
      'dry lamp …',
      'wet lamp …',
      'lamp with humps',
      'lamp with a recess',
      'lamp under a pattern',
      'lamp on water',
      'lamp rinsed',
    ],
    shownBy: 'dry lamp',
    steps: [
      {
        id: 'mask',
        phase: 'prepare',
        headline: 'Mask the paint all round',
        detail: 'Tape on the body, close along the gap, none on the lens.',
        tools: ['masking tape'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'open what has to be open for its edges',
    holds: ['wrapped bonnet, alone'],
    shownBy: 'wrapped bonnet, alone',
    steps: [
      {
        id: 'prop',
        phase: 'prepare',
        headline: 'Open the bonnet, prop it',
        detail:
          'Wipe the underside of every edge that film is turned onto. Some undersides want primer: try a corner with tape, and if the tape comes off clean, prime it.',
        tools: ['lint-free cloth'],
        liquids: ['degreaser'],
        cautions: ['lifting'],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'degrease',
    holds: 'always',
    shownBy: 'door',
    steps: [
      {
        id: 'degrease',
        phase: 'prepare',
        headline: 'Degrease the edges',
        detail:
          'Degreaser on a cloth, along the edges; alcohol on a cloth along the underside that the film is turned onto.',
        tools: ['lint-free cloth'],
        liquids: ['degreaser'],
        cautions: ['solvent'],
        heat: null,
        people: 1,
        minutes: 3,
      },
    ],
  },
  {
    rule: 'strip a coating',
    holds: ['door, coating', 'dry lamp, coating', 'wet lamp, coating'],
    shownBy: 'door, coating',
    steps: [
      {
        id: 'strip-coating',
        phase: 'prepare',
        headline: 'Strip the coating',
        detail:
          'Fine polish or coating remover, all over and round the edges, then wash again. Spray water: it must lie flat.',
        tools: ['pad'],
        liquids: ['coating remover', 'water spray'],
        cautions: ['solvent'],
        heat: null,
        people: 1,
        minutes: 20,
      },
    ],
  },
  {
    rule: 'offer a correction of soft gloss',
    holds: ['door, swirls', 'dry lamp, swirls', 'wet lamp, swirls'],
    shownBy: 'door, swirls',
    steps: [
      {
        id: 'offer-correction',
        phase: 'prepare',
        headline: 'Swirls: correct them first?',
        detail: 'Offer a polish before the film. Clear film shows everything beneath it.',
        tools: [],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 3,
      },
    ],
  },
  {
    rule: 'mask beside a repaint',
    holds: ['door, repaint', 'dry lamp, repaint', 'wet lamp, repaint'],
    shownBy: 'door, repaint',
    steps: [
      {
        id: 'mask-repaint',
        phase: 'prepare',
        headline: 'Low-tack tape, no pull on the edges',
        detail: 'Mask the repaint with low-tack tape only. Lift film flat and slowly; do not pull at an edge.',
        tools: ['low-tack masking tape'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'dry film wants a dry part',
    holds: [
      'dry lamp …',
      'trim …',
      'dome …',
      'dry panel with a channel …',
      'lamp under a pattern',
      'bar with a badge',
      'bar after a bar',
    ],
    shownBy: 'dry lamp',
    steps: [
      {
        id: 'bone-dry',
        phase: 'prepare',
        headline: 'Bone dry?',
        detail: 'Blow gaps and ends out, wipe, look along the lens against a light. No drop, no haze.',
        tools: ['dry cloth', 'lamp light'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'mix',
    holds: [
      'door …',
      'wet lamp …',
      'panel with a channel …',
      'bumper …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
      'front in one fluid',
      'lamp with humps',
      'lamp with a recess',
      'lamp on water',
      'lamp rinsed',
      'door with a bend',
      'lower body piece in a set',
      'roof that nobody has measured',
      'wrapped bonnet, alone',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'mix',
        phase: 'mix',
        headline: 'Mix slip and tack',
        detail: '700 mL light slip and 300 mL weak tack',
        tools: ['syringe', 'measuring cylinder'],
        liquids: ['distilled water'],
        cautions: ['liquid'],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'cut a sheet from the roll',
    holds: [
      'bonnet from the roll …',
      'dry panel with a channel …',
      'tinted panel …',
      'front in one fluid',
      'lamp under a pattern',
      'lamp rinsed',
      'roof that nobody has measured',
      'wrapped bonnet, alone',
      'door, wrap',
      'door, tuck',
      'door, gap-cut',
      'door, surface-cut',
      'door, lip-stop',
      'door, butt',
      'door, overlap',
    ],
    shownBy: 'bonnet from the roll',
    steps: [
      {
        id: 'cut-sheet',
        phase: 'prepare',
        headline: 'Cut 1620 mm by 1270 mm from the roll',
        detail:
          '1620 mm off a roll 1520 mm wide, 125 mm over on each side. Count it in under Kit, so that its lot is on the job; roll it up with the liner outside.',
        tools: ['tape measure', 'knife'],
        liquids: [],
        cautions: ['blade'],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'dry check of the piece',
    holds: 'always',
    shownBy: 'door',
    steps: [
      {
        id: 'dry-check',
        phase: 'prepare',
        headline: 'Hold the piece up, liner on',
        detail:
          'Right piece, right side, covers from end to end. Pick specks off it as it hangs. Then take the cover sheet off its face.',
        tools: ['piece', 'tape measure'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 2,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'lens law',
    holds: [
      'dry lamp …',
      'wet lamp …',
      'lamp with humps',
      'lamp with a recess',
      'lamp under a pattern',
      'lamp on water',
    ],
    shownBy: 'dry lamp',
    steps: [
      {
        id: 'lens-law',
        phase: 'prepare',
        headline: 'Customer has agreed to the tint',
        detail: '62 % of the light is left; it reaches, and is seen, about 79 % as far.',
        tools: [],
        liquids: [],
        cautions: ['law'],
        heat: null,
        people: 1,
        minutes: 1,
      },
    ],
  },
  {
    rule: 'mark the middle of part and film',
    holds: ['front in one fluid'],
    shownBy: 'front in one fluid',
    steps: [
      {
        id: 'centre-mark',
        phase: 'prepare',
        headline: 'Mark the middle of the panel and of the film',
        detail: 'A strip of tape above and below the part, and one on the liner’s edge: the three stand in line.',
        tools: ['masking tape', 'tape measure'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'soak the part',
    holds: [
      'door …',
      'wet lamp …',
      'panel with a channel …',
      'bumper …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
      'front in one fluid',
      'lamp with humps',
      'lamp with a recess',
      'lamp on water',
      'lamp rinsed',
      'door with a bend',
      'lower body piece in a set',
      'roof that nobody has measured',
      'wrapped bonnet, alone',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'soak',
        phase: 'place',
        headline: 'Soak the part',
        detail: 'Slip all over, light slip, wet hands too.',
        tools: [],
        liquids: ['slip'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 1,
      },
    ],
  },
  {
    rule: 'roll a piece with openings on from one dry corner',
    holds: [
      'door … but wrap / tuck / gap-cut / surface-cut / lip-stop / butt / overlap',
      'bumper …',
      'door with a bend',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'grip',
        phase: 'place',
        headline: 'Grip: front bottom, dry',
        detail: 'Wipe that corner dry, peel a palm’s width of liner there, press it on in its place.',
        tools: ['dry cloth', 'piece'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 1,
      },
      {
        id: 'back-roll',
        phase: 'place',
        headline: 'Roll it on backwards',
        detail:
          'Rolled up, liner outside; unroll it along the part, light slip on part and adhesive as they meet. The liner comes off behind it in two parts: the second from the handle on. Then free the dry corner: it glides.',
        tools: ['wet hands'],
        liquids: ['slip'],
        cautions: [],
        heat: null,
        people: 2,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'peel and float',
    holds: [
      'wet lamp …',
      'panel with a channel …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
      'front in one fluid',
      'lamp with humps',
      'lamp with a recess',
      'lamp on water',
      'lamp rinsed',
      'lower body piece in a set',
      'roof that nobody has measured',
      'wrapped bonnet, alone',
      'door, wrap',
      'door, tuck',
      'door, gap-cut',
      'door, surface-cut',
      'door, lip-stop',
      'door, butt',
      'door, overlap',
    ],
    shownBy: 'wet lamp',
    steps: [
      {
        id: 'peel',
        phase: 'place',
        headline: 'Peel, soak the adhesive',
        detail: 'Liner off low and flat; spray the adhesive at once as it comes free.',
        tools: ['wet hands'],
        liquids: ['slip'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 3,
      },
      {
        id: 'float',
        phase: 'place',
        headline: 'Float it on',
        detail: 'Lay it down by its middle and let it glide. If it grabs, lift and spray.',
        tools: ['wet hands'],
        liquids: ['slip'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'check how dry film sits before it is peeled',
    holds: ['dry lamp …', 'trim …', 'dome …', 'bar with a badge', 'bar after a bar'],
    shownBy: 'dry lamp',
    steps: [
      {
        id: 'measure-gaps',
        phase: 'place',
        headline: 'Check how it sits',
        detail: 'Liner on, hold it over the lens and read how far the film passes the edge at 6 places.',
        tools: ['rule'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'surplus even all round, liner on',
    holds: ['dry panel with a channel …', 'lamp under a pattern'],
    shownBy: 'dry panel with a channel',
    steps: [
      {
        id: 'even-surplus',
        phase: 'place',
        headline: 'Surplus even all round',
        detail: 'Liner on, hold it over the panel: 125 mm over on each side. Mark its middle.',
        tools: ['piece'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'peel dry film',
    holds: [
      'dry lamp …',
      'trim …',
      'dome …',
      'dry panel with a channel …',
      'lamp under a pattern',
      'bar with a badge',
      'bar after a bar',
    ],
    shownBy: 'dry lamp',
    steps: [
      {
        id: 'peel',
        phase: 'place',
        headline: 'Peel, hold by the bleed only',
        detail: 'Liner off from the flat side. Touch only what will be cut away.',
        tools: ['piece', 'gloves'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 1,
      },
    ],
  },
  {
    rule: 'carry the line of a row',
    holds: ['lower body piece in a set'],
    shownBy: 'lower body piece in a set',
    steps: [
      {
        id: 'carry-line',
        phase: 'place',
        headline: 'Line from Lower body 2, measured up at its far end',
        detail:
          'A tape from the lower edge, at 1020 mm along it; step back and look from a distance before it is fixed. So its line is known to 1 mm either way.',
        tools: ['tape measure'],
        liquids: ['slip'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 3,
      },
    ],
  },
  {
    rule: 'measure the gaps while it still floats',
    holds: [
      'door … but wrap / tuck / gap-cut / surface-cut / lip-stop / butt / overlap',
      'wet lamp …',
      'panel with a channel …',
      'bumper …',
      'mirror cap …',
      'lamp with humps',
      'lamp with a recess',
      'lamp on water',
      'door with a bend',
      'lower body piece in a set',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'measure-gaps',
        phase: 'place',
        headline: 'Measure the gaps',
        detail: 'At 7 places, wanted as marked. Shift it until it fits, then measure again.',
        tools: ['rule'],
        liquids: ['slip'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'surplus even all round while it floats',
    holds: [
      'bonnet from the roll …',
      'tinted panel …',
      'front in one fluid',
      'lamp rinsed',
      'roof that nobody has measured',
      'wrapped bonnet, alone',
      'door, wrap',
      'door, tuck',
      'door, gap-cut',
      'door, surface-cut',
      'door, lip-stop',
      'door, butt',
      'door, overlap',
    ],
    shownBy: 'bonnet from the roll',
    steps: [
      {
        id: 'even-surplus',
        phase: 'place',
        headline: 'Surplus even all round',
        detail: '125 mm over on each side. Slide it until it is so on all sides.',
        tools: ['wet hands'],
        liquids: ['slip'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'a chain of openings before the corners',
    holds: ['bumper …'],
    shownBy: 'bumper',
    steps: [
      {
        id: 'opening-1',
        phase: 'lay',
        headline: 'Centre the inner sensor, driver’s side and inner sensor, passenger’s side',
        detail:
          '1.5 mm, 1 mm either way, all round. Sits high on one side: lift from there to the nearest edge, shift it, lay it again; then fix it with tack.',
        tools: ['rule'],
        liquids: ['slip', 'tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 4,
      },
      {
        id: 'line',
        phase: 'lay',
        headline: 'Bring it to the trim above',
        detail:
          '2.5 mm along all of it, 0.5 mm either way. Rides up against it: pull back, lower it. Short strokes lock it.',
        tools: ['soft squeegee'],
        liquids: ['tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 3,
      },
      {
        id: 'opening-2',
        phase: 'lay',
        headline: 'Centre the outer sensor, passenger’s side and outer sensor, driver’s side',
        detail:
          '1.5 mm, 1 mm either way, all round. Sits high on one side: lift from there to the nearest edge, shift it, lay it again; then fix it with tack.',
        tools: ['rule'],
        liquids: ['slip', 'tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'an edge that is set by a line',
    holds: ['wet lamp …', 'lamp with humps', 'lamp on water', 'bar after a bar'],
    shownBy: 'wet lamp',
    steps: [
      {
        id: 'line',
        phase: 'lay',
        headline: 'Bring it to the line of the inner lamp',
        detail:
          'Look along both: what runs through runs on, off by no more than 1.5 mm. Rides up against it: pull back, lower it. Short strokes lock it.',
        tools: ['soft squeegee'],
        liquids: ['tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 3,
      },
    ],
  },
  {
    rule: 'set the anchors',
    holds: [
      'door …',
      'wet lamp …',
      'trim …',
      'panel with a channel …',
      'bumper …',
      'dome …',
      'bonnet from the roll …',
      'dry panel with a channel …',
      'tinted panel …',
      'mirror cap …',
      'front in one fluid',
      'lamp with humps',
      'lamp with a recess',
      'lamp under a pattern',
      'lamp on water',
      'lamp rinsed',
      'door with a bend',
      'bar with a badge',
      'lower body piece in a set',
      'roof that nobody has measured',
      'bar after a bar',
      'wrapped bonnet, alone',
      'dry lamp, cracked lens',
      'dry lamp, crazed lens',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'anchor-1',
        phase: 'lay',
        headline: 'Set the front bottom',
        detail:
          '2.5 mm from the front edge and 16 mm over the bottom edge. Lift, tack under it, hold, three short strokes towards the corner.',
        tools: ['soft squeegee'],
        liquids: ['tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
      {
        id: 'anchor-2',
        phase: 'lay',
        headline: 'Set the rear bottom',
        detail: '16 mm over both edges. Lift, tack under it, hold, three short strokes towards the corner.',
        tools: ['soft squeegee'],
        liquids: ['tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
      {
        id: 'opening-1',
        phase: 'lay',
        headline: 'Centre the mirror foot',
        detail:
          '1.8 mm, 1.3 mm either way, all round. Sits high on one side: lift from there to the nearest edge, shift it, lay it again; then fix it with tack.',
        tools: ['rule'],
        liquids: ['slip', 'tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
      {
        id: 'anchor-3',
        phase: 'lay',
        headline: 'Set the rear top',
        detail:
          '16 mm over the rear edge and 22.5 mm over the window edge. Lift, tack under it, hold, three short strokes towards the corner.',
        tools: ['soft squeegee'],
        liquids: ['tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
      {
        id: 'anchor-4',
        phase: 'lay',
        headline: 'Set the front top',
        detail:
          '22.5 mm over the window edge and 2.5 mm from the front edge. Lift, tack under it, hold, three short strokes towards the corner.',
        tools: ['soft squeegee'],
        liquids: ['tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
      {
        id: 'opening-2',
        phase: 'lay',
        headline: 'Centre the handle',
        detail:
          '1.8 mm, 1.3 mm either way, all round. Sits high on one side: lift from there to the nearest edge, shift it, lay it again; then fix it with tack.',
        tools: ['rule'],
        liquids: ['slip', 'tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'open a sheet over what stands out',
    holds: [
      'bonnet from the roll …',
      'wrapped bonnet, alone',
      'door, wrap',
      'door, tuck',
      'door, gap-cut',
      'door, surface-cut',
      'door, lip-stop',
      'door, butt',
      'door, overlap',
    ],
    shownBy: 'bonnet from the roll',
    steps: [
      {
        id: 'open-up',
        phase: 'lay',
        headline: 'Open the film over the badge',
        detail:
          'A star from the middle of each, no nearer than 10 mm to its rim, the end of every cut rounded. What lies flush can wait until it is dry.',
        tools: ['knife', 'sharps box'],
        liquids: [],
        cautions: ['blade'],
        heat: null,
        people: 1,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'two corners, then one pull across',
    holds: ['dry lamp … but cracked lens / crazed lens'],
    shownBy: 'dry lamp',
    steps: [
      {
        id: 'inner-corners',
        phase: 'lay',
        headline: 'Two corners first, at the flat end',
        detail:
          'Corner of top and grille and corner of grille and bottom: just over the edge at both. Hold the rest over the lamp: does it reach all the way? Then press 75 mm down as a hinge; all else stays free.',
        tools: ['felt squeegee', 'dry gloves'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 3,
      },
      {
        id: 'pull-across',
        phase: 'lay',
        headline: 'One pull across: 14 mm',
        detail:
          'Warm the whole bulge, broad and moving, 48 °C. A hand on the bleed at each end, 14 mm longer (4.9 %), a little past it; it takes back 70 % of that when it is let go cold. Cool two seconds, then lay a line from hand to hand through the middle.',
        tools: ['heat gun', 'infra-red thermometer', 'felt squeegee'],
        liquids: [],
        cautions: ['heat', 'heat'],
        heat: 'soften',
        people: 1,
        minutes: 5,
      },
    ],
  },
  {
    rule: 'a patterned film is drawn in triangles',
    holds: ['lamp under a pattern'],
    shownBy: 'lamp under a pattern',
    steps: [
      {
        id: 'triangles',
        phase: 'lay',
        headline: 'Draw it in triangles, pattern level',
        detail:
          'Sideways, then up and down, a third each time; then a little more liner off, and again. Warm a broad area, 48 °C, and draw little: the pattern bears 3 %. High spot first, then the dip beside it; each wrinkle is drawn in the direction in which it points.',
        tools: ['heat gun', 'dry gloves'],
        liquids: [],
        cautions: ['heat', 'heat'],
        heat: 'soften',
        people: 1,
        minutes: 6,
      },
    ],
  },
  {
    rule: 'raised places of trim before its flats',
    holds: ['bar with a badge'],
    shownBy: 'bar with a badge',
    steps: [
      {
        id: 'raised',
        phase: 'lay',
        headline: 'Raised places first, flats last',
        detail:
          'Down on the top of each, then along its walls with the thin tool; the flat on both sides stays off until they lie. More film than the flat: pillar, passenger’s side 2.8 mm and pillar, driver’s side 2.8 mm.',
        tools: ['heat gun', 'thin tool', 'felt squeegee'],
        liquids: [],
        cautions: ['heat', 'heat'],
        heat: 'soften',
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'hollows before what lies round them',
    holds: ['panel with a channel …', 'dry panel with a channel …', 'front in one fluid', 'lamp with a recess'],
    shownBy: 'panel with a channel',
    steps: [
      {
        id: 'channel',
        phase: 'lay',
        headline: 'Deepest first: rail channel',
        detail:
          'Lay a thin cord in it, taped at its end, work 2 lengths of 380 mm with two hands, the rest still afloat: one wall, the other wall, then the middle, up to the cord; draw it a little and go on. Relax it warm, 48 °C.',
        tools: ['thin cord', 'soft squeegee', 'heat gun'],
        liquids: [],
        cautions: ['heat', 'heat', 'heat'],
        heat: null,
        people: 1,
        minutes: 6,
      },
    ],
  },
  {
    rule: 'pulls of a bulge',
    holds: [
      'bumper …',
      'bonnet from the roll',
      'tinted panel …',
      'mirror cap …',
      'lamp under a pattern',
      'lamp rinsed',
      'wrapped bonnet, alone',
      'dry lamp, cracked lens',
      'dry lamp, crazed lens',
    ],
    shownBy: 'bumper',
    steps: [
      {
        id: 'pull-A',
        phase: 'lay',
        headline: 'Pull A: along the top edge, both ways',
        detail:
          'A hand on the bleed at each side, the line between them across its middle. 8 mm longer (1.7 %), by hand. A little past the mark, let go fast (it takes back 85 % of that), then lay.',
        tools: [],
        liquids: ['tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
      {
        id: 'pull-B',
        phase: 'lay',
        headline: 'Pull B: along the bottom flap, both ways',
        detail:
          'A hand on the bleed at each side, the line between them across its middle. 8 mm longer (1.7 %), by hand. A little past the mark, let go fast (it takes back 85 % of that), then lay.',
        tools: [],
        liquids: ['tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
      {
        id: 'pull-C',
        phase: 'lay',
        headline: 'Pull C: over the bulge, towards the arch edge, driver’s side',
        detail:
          'A hand on the bleed at each side, the line between them across its middle. 4 mm longer (1.7 %), by hand. A little past the mark, let go fast (it takes back 85 % of that), then lay.',
        tools: [],
        liquids: ['tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
      {
        id: 'pull-D',
        phase: 'lay',
        headline: 'Pull D: over the bulge, towards the arch edge, passenger’s side',
        detail:
          'A hand on the bleed at each side, the line between them across its middle. 3 mm longer (1.7 %), by hand. A little past the mark, let go fast (it takes back 85 % of that), then lay.',
        tools: [],
        liquids: ['tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'humps of a lamp, one at a time',
    holds: ['lamp with humps'],
    shownBy: 'lamp with humps',
    steps: [
      {
        id: 'hump-1',
        phase: 'lay',
        headline: 'Hump: inner lamp ring, 3.7 mm to draw',
        detail:
          '25 mm at a time, by the bleed: 3.7 mm more than past it (5 %). Warm it one or two seconds a pass, press with a finger, then the card. Where it went wrong: peel, mist, warm and go on at once.',
        tools: ['heat gun', 'felt squeegee'],
        liquids: ['slip on the face'],
        cautions: ['heat', 'heat', 'heat'],
        heat: 'soften',
        people: 1,
        minutes: 5,
      },
      {
        id: 'hump-2',
        phase: 'lay',
        headline: 'Hump: outer lamp ring, 3.7 mm to draw',
        detail:
          '25 mm at a time, by the bleed: 3.7 mm more than past it (5 %). Warm it one or two seconds a pass, press with a finger, then the card. Where it went wrong: peel, mist, warm and go on at once.',
        tools: ['heat gun', 'felt squeegee'],
        liquids: ['slip on the face'],
        cautions: ['heat', 'heat', 'heat'],
        heat: 'soften',
        people: 1,
        minutes: 5,
      },
    ],
  },
  {
    rule: 'relief where something stands in the way',
    holds: ['front in one fluid', 'lamp under a pattern', 'lamp rinsed', 'bar with a badge'],
    shownBy: 'front in one fluid',
    steps: [
      {
        id: 'relief-1',
        phase: 'lay',
        headline: 'Relief at the headlamp, driver’s side: 75 mm, then 50 mm',
        detail:
          'One cut from the rim at the edge under the headlamp, driver’s side, straight at the end of it. 75 mm deep, its end rounded; lay what is free. Does it still bind: the last 50 mm, and round the end again.',
        tools: ['knife', 'thin tool', 'sharps box'],
        liquids: [],
        cautions: ['blade'],
        heat: null,
        people: 1,
        minutes: 3,
      },
      {
        id: 'relief-2',
        phase: 'lay',
        headline: 'Relief at the headlamp, passenger’s side: 75 mm, then 50 mm',
        detail:
          'One cut from the rim at the edge under the headlamp, passenger’s side, straight at the end of it. 75 mm deep, its end rounded; lay what is free. Does it still bind: the last 50 mm, and round the end again.',
        tools: ['knife', 'thin tool', 'sharps box'],
        liquids: [],
        cautions: ['blade'],
        heat: null,
        people: 1,
        minutes: 3,
      },
    ],
  },
  {
    rule: 'by hand first over a deep bend',
    holds: ['door with a bend'],
    shownBy: 'door with a bend',
    steps: [
      {
        id: 'bend-1',
        phase: 'lay',
        headline: 'By hand first: bend below the handle',
        detail:
          'Palms from its middle to both ends, film pressed to the bottom of the bend; tack at the bend, then strokes along the line, none across it.',
        tools: ['wet hands', 'soft squeegee'],
        liquids: ['tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 3,
      },
    ],
  },
  {
    rule: 'wet the waiting half again',
    holds: [
      'door … but rehearsed',
      'bumper …',
      'bonnet from the roll …',
      'roof that nobody has measured',
      'wrapped bonnet, alone',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'wet-again',
        phase: 'lay',
        headline: 'Wet the half towards the roof again',
        detail:
          'Lift it as far as it is free, spray part and adhesive, lay it back. It was wetted first and lies about 16 minutes before a blade comes; in this air it dries after 6 minutes.',
        tools: ['wet hands'],
        liquids: ['slip'],
        cautions: [],
        heat: null,
        people: 2,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'lay in the order that was rehearsed',
    holds: ['door, rehearsed'],
    shownBy: 'door, rehearsed',
    steps: [
      {
        id: 'sweep-1',
        phase: 'lay',
        headline: 'Lay towards the rear',
        detail: 'Wet the face. 12 strokes, light, overlapping by half a blade; the rest stays afloat.',
        tools: ['soft squeegee'],
        liquids: ['slip on the face'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 8,
      },
    ],
  },
  {
    rule: 'light pass, wet',
    holds: [
      'door … but rehearsed',
      'wet lamp …',
      'panel with a channel …',
      'bumper …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
      'front in one fluid',
      'lamp with humps',
      'lamp with a recess',
      'lamp on water',
      'lamp rinsed',
      'door with a bend',
      'lower body piece in a set',
      'roof that nobody has measured',
      'wrapped bonnet, alone',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'light-pass',
        phase: 'lay',
        headline: 'Light pass, middle to edges',
        detail:
          'Wet the face. Strokes overlap by half a blade, blade steep; turn it 45° where a wrinkle comes. Along edges a cloth over the squeegee.',
        tools: ['soft squeegee'],
        liquids: ['slip on the face'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'firm pass, wet',
    holds: [
      'door …',
      'wet lamp …',
      'panel with a channel …',
      'bumper …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
      'front in one fluid',
      'lamp with humps',
      'lamp with a recess',
      'lamp on water',
      'lamp rinsed',
      'door with a bend',
      'lower body piece in a set',
      'roof that nobody has measured',
      'wrapped bonnet, alone',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'firm-pass',
        phase: 'lay',
        headline: 'Firm pass, then once more',
        detail: 'Same strokes, firm. Then the whole part a last time, to be sure.',
        tools: ['firm squeegee'],
        liquids: ['slip on the face'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'warm film on water to see what is left beneath',
    holds: ['lamp on water'],
    shownBy: 'lamp on water',
    steps: [
      {
        id: 'see-water',
        phase: 'lay',
        headline: 'Warm it: what water is left bubbles up',
        detail:
          'Gun far off, always moving. Where it bubbles: let it cool, lift that place, draw the film out, lay it again.',
        tools: ['heat gun', 'firm squeegee'],
        liquids: [],
        cautions: ['heat', 'heat', 'heat'],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'growing circles over a dome',
    holds: ['dome …'],
    shownBy: 'dome',
    steps: [
      {
        id: 'circles',
        phase: 'lay',
        headline: 'Growing circles from the middle',
        detail: 'Each round about 6 mm wider. Where it bunches: lift that sector, lay it again, never one big fold.',
        tools: ['dry gloves'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 6,
      },
      {
        id: 'massage',
        phase: 'lay',
        headline: 'From 25 mm before the rim: massage',
        detail:
          'Going round, 3 mm to 6 mm at a time, each fold spread over a wider sector until only tiny ones are left at the crest.',
        tools: ['dry gloves'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 8,
      },
    ],
  },
  {
    rule: 'release a dry strip from its hinge',
    holds: ['trim …', 'bar with a badge', 'bar after a bar'],
    shownBy: 'trim',
    steps: [
      {
        id: 'release',
        phase: 'lay',
        headline: 'Release 300 mm at a time',
        detail:
          'Check that it is level, draw off 300 mm of liner, press flat, go on. Lift and lay again gently: thin film tears.',
        tools: ['felt squeegee', 'dry gloves'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 6,
      },
    ],
  },
  {
    rule: 'lay dry outward',
    holds: ['dry panel with a channel …', 'lamp under a pattern', 'dry lamp, cracked lens', 'dry lamp, crazed lens'],
    shownBy: 'dry panel with a channel',
    steps: [
      {
        id: 'lay-outward',
        phase: 'lay',
        headline: 'Lay outward, front kept straight',
        detail:
          'From the fixed place to the sides, a little at a time. Lift and lay again gently as often as you like.',
        tools: ['felt squeegee', 'dry gloves'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 8,
      },
    ],
  },
  {
    rule: 'surplus of a sheet cut away roughly',
    holds: ['lamp rinsed'],
    shownBy: 'lamp rinsed',
    steps: [
      {
        id: 'rough-trim',
        phase: 'lay',
        headline: 'Cut the surplus away roughly',
        detail: 'Scissors, 20 mm left all round, corners rounded.',
        tools: ['scissors'],
        liquids: [],
        cautions: ['blade'],
        heat: null,
        people: 1,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'flush the edges',
    holds: [
      'door …',
      'wet lamp …',
      'panel with a channel …',
      'bumper …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
      'front in one fluid',
      'lamp with humps',
      'lamp with a recess',
      'lamp on water',
      'lamp rinsed',
      'door with a bend',
      'lower body piece in a set',
      'roof that nobody has measured',
      'wrapped bonnet, alone',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'flush-edges',
        phase: 'edges',
        headline: 'Edges: flush with tack, press dry',
        detail:
          'Tack along and under the edge, then within 10 minutes press the moisture out with a cloth over the squeegee.',
        tools: ['cloth over the squeegee'],
        liquids: ['tack'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 5,
      },
    ],
  },
  {
    rule: 'shrink the flaps of a bulge',
    holds: ['dry lamp … but cracked lens / crazed lens', 'lamp under a pattern'],
    shownBy: 'dry lamp',
    steps: [
      {
        id: 'shrink-flaps',
        phase: 'lay',
        headline: 'Shrink the flaps',
        detail:
          '48 °C, broad and moving, on the loose film above and below; lay it as it draws in. A line on the face: lift past it, warm, cool, press from its middle.',
        tools: ['heat gun', 'felt squeegee'],
        liquids: [],
        cautions: ['heat', 'heat'],
        heat: 'soften',
        people: 1,
        minutes: 5,
      },
    ],
  },
  {
    rule: 'fingers that the pulls leave',
    holds: [
      'lamp under a pattern',
      'dry lamp, nobody pulls',
      'bumper, nobody pulls',
      'bonnet from the roll, nobody pulls',
      'tinted panel, nobody pulls',
      'mirror cap, nobody pulls',
    ],
    shownBy: 'dry lamp, nobody pulls',
    steps: [
      {
        id: 'fingers',
        phase: 'edges',
        headline: 'Work the fingers out: top edge, wing edge and bottom edge',
        detail: 'Lift, warm a broad area, pull outward so that the excess runs out, lay.',
        tools: ['heat gun', 'felt squeegee'],
        liquids: [],
        cautions: ['heat', 'heat'],
        heat: 'soften',
        people: 1,
        minutes: 5,
      },
    ],
  },
  {
    rule: 'trim and notch a wrapped edge',
    holds: [
      'door … but tuck / gap-cut / surface-cut / lip-stop / butt / overlap',
      'bumper …',
      'door with a bend',
      'lower body piece in a set',
      'wrapped bonnet, alone',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'trim-wrap',
        phase: 'edges',
        headline: 'Trim and notch: bottom edge and rear edge',
        detail: 'Leave 12 mm to 20 mm over. Notch the corner: two cuts of 25.8 mm at 46°, ending 2 mm before it.',
        tools: ['scissors'],
        liquids: [],
        cautions: ['blade', 'edge', 'edge'],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'wet film grabs and dries',
    holds: [
      'door …',
      'wet lamp …',
      'panel with a channel …',
      'bumper …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
      'front in one fluid',
      'lamp with humps',
      'lamp with a recess',
      'lamp on water',
      'lamp rinsed',
      'door with a bend',
      'lower body piece in a set',
      'roof that nobody has measured',
      'wrapped bonnet, alone',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'grab',
        phase: 'edges',
        headline: 'Let it grab and dry',
        detail:
          'Wipe up, note small fingers for later, then leave it. From the flush: turn at 15 minutes, cut at 18 minutes and seal at 20 minutes.',
        tools: ['dry cloth'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 1,
      },
    ],
  },
  {
    rule: 'post-heat what was stretched, before the cut',
    holds: ['dry lamp … but cracked lens / crazed lens', 'lamp under a pattern'],
    shownBy: 'dry lamp',
    steps: [
      {
        id: 'post-heat',
        phase: 'heat',
        headline: 'Post-heat, 92 °C',
        detail:
          'What was stretched, broad and moving. Most at the washer cover: what was stretched there draws back. Read it with the thermometer. A wet glove follows the gun and presses while it is warm.',
        tools: ['heat gun', 'infra-red thermometer', 'wet glove'],
        liquids: [],
        cautions: ['heat', 'heat', 'heat'],
        heat: 'post-heat',
        people: 1,
        minutes: 5,
      },
    ],
  },
  {
    rule: 'relax dry edges before they are cut',
    holds: ['dry lamp …', 'lamp under a pattern'],
    shownBy: 'dry lamp',
    steps: [
      {
        id: 'relax-edges',
        phase: 'edges',
        headline: 'Relax the edges',
        detail: 'Along every edge: lift, warm it, cool two seconds, lay without tension.',
        tools: ['heat gun'],
        liquids: [],
        cautions: ['heat', 'heat'],
        heat: 'soften',
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'come back to what were fingers',
    holds: ['lamp with humps', 'lamp with a recess', 'lamp rinsed'],
    shownBy: 'lamp with humps',
    steps: [
      {
        id: 'press-again',
        phase: 'edges',
        headline: 'Come back: press what were fingers',
        detail:
          'At the bottom edge, top edge and edge beside the inner lamp: thumb or hard card from the middle of each out to the rim.',
        tools: ['cloth over the squeegee'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 3,
      },
    ],
  },
  {
    rule: 'tuck',
    holds: [
      'door … but wrap / gap-cut / surface-cut / lip-stop / butt / overlap',
      'dry lamp …',
      'wet lamp …',
      'trim …',
      'tinted panel …',
      'mirror cap …',
      'lamp with humps',
      'lamp under a pattern',
      'lamp on water',
      'lamp rinsed',
      'door with a bend',
      'bar with a badge',
      'bar after a bar',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'tuck',
        phase: 'edges',
        headline: 'Tuck window edge',
        detail:
          'As deep as it goes with the thin tool, the other hand holds the film away. Draw the cut line with a finger.',
        tools: ['tucking tool'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'cut in the gap',
    holds: [
      'door … but wrap / surface-cut / lip-stop / butt / overlap',
      'dry lamp …',
      'wet lamp …',
      'trim …',
      'tinted panel …',
      'mirror cap …',
      'lamp with humps',
      'lamp with a recess',
      'lamp under a pattern',
      'lamp on water',
      'lamp rinsed',
      'door with a bend',
      'bar with a badge',
      'bar after a bar',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'gap-cut',
        phase: 'edges',
        headline: 'Cut in the gap',
        detail:
          'Window edge: blade in the empty gap, its back on the part, about 45°, away from the vehicle. Waste taut, off slowly; the tight place last. Not through somewhere: go over it lightly with a new segment, never pull.',
        tools: ['knife', 'sharps box'],
        liquids: [],
        cautions: ['blade'],
        heat: null,
        people: 1,
        minutes: 5,
      },
    ],
  },
  {
    rule: 'trim the openings of a sheet',
    holds: [
      'bonnet from the roll …',
      'wrapped bonnet, alone',
      'door, wrap',
      'door, tuck',
      'door, gap-cut',
      'door, surface-cut',
      'door, lip-stop',
      'door, butt',
      'door, overlap',
    ],
    shownBy: 'bonnet from the roll',
    steps: [
      {
        id: 'trim-openings',
        phase: 'edges',
        headline: 'Cut round the badge',
        detail: 'Blade in the gap round each, its back on what stands there; turn the film in where it goes under.',
        tools: ['knife', 'sharps box'],
        liquids: [],
        cautions: ['blade'],
        heat: null,
        people: 1,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'cut on the surface',
    holds: [
      'bonnet from the roll …',
      'dry panel with a channel …',
      'front in one fluid',
      'roof that nobody has measured',
      'door, surface-cut',
      'door, butt',
      'door, overlap',
    ],
    shownBy: 'door, surface-cut',
    steps: [
      {
        id: 'surface-cut',
        phase: 'edges',
        headline: 'Cut on the surface: all round',
        detail:
          '3 mm before the edge. Masking tape as the line. Fresh segment, blade at about 10°: incise two thirds deep, never through, every corner rounded. Then pull sharply: it parts along the line. A fresh segment now, and again every 3000 mm.',
        tools: ['knife', 'masking tape', 'sharps box'],
        liquids: [],
        cautions: ['blade', 'edge'],
        heat: null,
        people: 1,
        minutes: 6,
      },
    ],
  },
  {
    rule: 'stop on the crest of a lip',
    holds: ['dome …', 'door, lip-stop'],
    shownBy: 'dome',
    steps: [
      {
        id: 'lip-stop',
        phase: 'edges',
        headline: 'Ends on the crest all round?',
        detail: 'Look round the lip against the light. Where it runs over: lift that sector, lay it again further in.',
        tools: ['lamp light'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'turn a wrapped edge',
    holds: [
      'door … but tuck / gap-cut / surface-cut / lip-stop / butt / overlap',
      'bumper …',
      'door with a bend',
      'lower body piece in a set',
      'wrapped bonnet, alone',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'turn-wrap',
        phase: 'edges',
        headline: 'Turn bottom edge and rear edge',
        detail:
          'Turn under, press and hold. In a hurry: steam it and press with a towel. Does it lift: more drying, then again.',
        tools: ['cloth'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'warm the cut edges of dry film',
    holds: [
      'dry lamp … but cracked lens / crazed lens',
      'trim …',
      'dry panel with a channel …',
      'lamp under a pattern',
      'bar with a badge',
      'bar after a bar',
    ],
    shownBy: 'dry lamp',
    steps: [
      {
        id: 'warm-edges',
        phase: 'heat',
        headline: 'Warm the cut edges, 68 °C',
        detail: 'Along every edge that was cut; a glove follows the gun and presses while it is warm.',
        tools: ['heat gun', 'gloves'],
        liquids: [],
        cautions: ['heat', 'heat'],
        heat: 'seal',
        people: 1,
        minutes: 4,
      },
    ],
  },
  {
    rule: 'look for bubbles before the post-heat of dry film',
    holds: ['dry panel with a channel …'],
    shownBy: 'dry panel with a channel',
    steps: [
      {
        id: 'bubbles',
        phase: 'look',
        headline: 'Look for bubbles first',
        detail: 'Light low over all of it. Air: prick, warm, cool, press out towards the hole.',
        tools: ['lamp light'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 3,
      },
    ],
  },
  {
    rule: 'post-heat dry film last of all',
    holds: ['trim …', 'dry panel with a channel …', 'bar with a badge', 'bar after a bar'],
    shownBy: 'trim',
    steps: [
      {
        id: 'post-heat',
        phase: 'heat',
        headline: 'Post-heat, 92 °C',
        detail:
          'All of it, ends and bends longest. Read it with the thermometer. A wet glove follows the gun and presses while it is warm.',
        tools: ['heat gun', 'infra-red thermometer', 'wet glove'],
        liquids: [],
        cautions: ['heat', 'heat', 'heat'],
        heat: 'post-heat',
        people: 1,
        minutes: 5,
      },
    ],
  },
  {
    rule: 'seal the edges',
    holds: [
      'door … but cracked lens / crazed lens',
      'wet lamp … but cracked lens / crazed lens',
      'panel with a channel …',
      'bumper …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
      'front in one fluid',
      'lamp with humps',
      'lamp with a recess',
      'lamp on water',
      'lamp rinsed',
      'door with a bend',
      'lower body piece in a set',
      'roof that nobody has measured',
      'wrapped bonnet, alone',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'seal-edges',
        phase: 'heat',
        headline: 'Seal the edges, 68 °C',
        detail:
          'Gun along the edges only; the cloth follows at once and presses while it is warm. Corners with most built-up film get the most time.',
        tools: ['heat gun', 'cloth', 'infra-red thermometer'],
        liquids: [],
        cautions: ['heat', 'heat', 'heat'],
        heat: 'seal',
        people: 1,
        minutes: 5,
      },
    ],
  },
  {
    rule: 'masking tape comes off',
    holds: [
      'dry lamp …',
      'wet lamp …',
      'bonnet from the roll …',
      'dry panel with a channel …',
      'front in one fluid',
      'lamp with humps',
      'lamp with a recess',
      'lamp under a pattern',
      'lamp on water',
      'lamp rinsed',
      'roof that nobody has measured',
      'door, surface-cut',
      'door, butt',
      'door, overlap',
    ],
    shownBy: 'dry lamp',
    steps: [
      {
        id: 'unmask',
        phase: 'look',
        headline: 'Take the tape off',
        detail: 'Flat back on itself and slowly, away from the film; look at each edge as it comes free.',
        tools: [],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'last look',
    holds: 'always',
    shownBy: 'door',
    steps: [
      {
        id: 'look',
        phase: 'look',
        headline: 'Walk the edges, light low',
        detail: 'Mist of slip over all of it, finger along every edge, light at a low angle, step back.',
        tools: ['lamp light'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 4,
      },
      {
        id: 'hand-on',
        phase: 'look',
        headline: 'Wipe, photograph, done',
        detail: 'No washing for 3 days, no solvents, press nothing. Look at the edges again within 48 hours.',
        tools: ['dry cloth', 'camera'],
        liquids: [],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 3,
      },
    ],
  },
]

let named: ReadonlyMap<string, PlanContext> = new Map()
let contexts: PlanContext[] = []
beforeAll(() => {
  named = testContexts()
  contexts = [...named.values()]
})

test('every rule of the plan stands in the table, and none twice', () => {
  expect(ruleTable.map((row) => row.rule).sort()).toEqual(planRules.map((rule) => rule.name).sort())
})

describe.each(ruleTable.map((row) => [row.rule, row] as const))('the rule “%s”', (name, row) => {
  const rule = planRules.find((r) => r.name === name)
  if (rule === undefined) throw new Error(`there is no rule ${name}`)
  test('holds where the table says, and nowhere else', () => {
    const holds = [...named].flatMap(([context, of]) => (rule.when(of) ? [context] : []))
    expect(holds).toEqual(conditionsOf(row, [...named.keys()]))
  })
  test('brings the steps of the table: words with their quantities, tools, liquids, cautions', () => {
    const context = named.get(row.shownBy)
    if (context === undefined) throw new Error('no context')
    const steps = rule.steps(context).map(finishStep)
    expect(
      steps.map((step) => ({
        id: step.id,
        phase: step.phase,
        headline: english(step.headline),
        detail: english(step.detail),
        tools: step.tools,
        liquids: step.liquids,
        cautions: step.cautions.map((c) => c.about),
        heat: step.heat ?? null,
        people: step.people,
        minutes: Math.round(10 * step.minutes) / 10,
      })),
    ).toEqual(row.steps)
  })
})

describe.each(planRules.map((rule) => [rule.name, rule] as const))('the rule “%s”', (_, rule) => {
  test('brings steps of its own where it holds', () => {
    const on = contexts.filter(rule.when)
    expect(on.length).toBeGreaterThan(0)
    for (const context of on)
      for (const step of rule.steps(context).map(finishStep)) {
        expect(step.headline).toSay(/\S/)
        expect(step.why).toSay(/\S/)
        expect(step.minutes).toBeGreaterThanOrEqual(0)
      }
  })
  test('brings no step of another rule', () => {
    for (const context of contexts.filter(rule.when)) {
      const mine = rule.steps(context).map((s) => s.id)
      const others = planRules
        .filter((r) => r !== rule && r.when(context))
        .flatMap((r) => r.steps(context).map((s) => s.id))
      expect(mine.filter((id) => others.includes(id))).toEqual([])
    }
  })
})

test('the blade cuts in the gap as far as edges of a door end there, and along none where they are butted', () => {
  const cutInGap = (name: string) => {
    const context = named.get(name)
    const rule = planRules.find((r) => context !== undefined && r.when(context) && stepCut(r, context) !== undefined)
    return { cutMm: rule && context ? stepCut(rule, context) : undefined, edges: context?.edgePlan.edges ?? [] }
  }
  const stepCut = (rule: (typeof planRules)[number], context: PlanContext) =>
    rule.steps(context).find(({ id }) => id === 'gap-cut')?.cutMm
  for (const code of ['gap-cut', 'tuck'] as const) {
    const { cutMm, edges } = cutInGap(`door, ${code}`)
    const endThereMm = edges.filter((edge) => edge.code === code).reduce((sum, edge) => sum + edge.lengthMm, 0)
    expect(endThereMm).toBeGreaterThan(2000)
    expect(cutMm).toBeCloseTo(endThereMm, 6)
  }
  expect(cutInGap('door, butt').cutMm).toBeUndefined()
})

test('only what every part needs holds for every part', () => {
  const always = planRules.filter((rule) => contexts.every(rule.when)).map((rule) => rule.name)
  expect(always.length).toBeLessThan(planRules.length / 3)
})
