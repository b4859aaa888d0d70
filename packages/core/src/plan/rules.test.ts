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
    holds: ['dry lamp …', 'wet lamp …'],
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
    holds: ['dry lamp …', 'trim …', 'dome …', 'dry panel with a channel …'],
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
      'bumper …',
      'wet lamp …',
      'panel with a channel …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
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
    holds: ['dry lamp …', 'wet lamp …'],
    shownBy: 'dry lamp',
    steps: [
      {
        id: 'lens-law',
        phase: 'prepare',
        headline: 'Customer has agreed to the tint',
        detail: '62 % of the light is left.',
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
    rule: 'soak and peel',
    holds: [
      'door …',
      'bumper …',
      'wet lamp …',
      'panel with a channel …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
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
      {
        id: 'peel',
        phase: 'place',
        headline: 'Peel together, soak the adhesive',
        detail: 'Liner off low and flat; spray the adhesive at once as it comes free.',
        tools: ['wet hands'],
        liquids: ['slip'],
        cautions: [],
        heat: null,
        people: 2,
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
        people: 2,
        minutes: 2,
      },
    ],
  },
  {
    rule: 'check how dry film sits before it is peeled',
    holds: ['dry lamp …', 'trim …', 'dome …', 'dry panel with a channel …'],
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
    rule: 'peel dry film',
    holds: ['dry lamp …', 'trim …', 'dome …', 'dry panel with a channel …'],
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
    rule: 'measure the gaps while it still floats',
    holds: [
      'door …',
      'bumper …',
      'wet lamp …',
      'panel with a channel …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
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
    rule: 'a chain of openings before the corners',
    holds: ['bumper …'],
    shownBy: 'bumper',
    steps: [
      {
        id: 'opening-1',
        phase: 'lay',
        headline: "Centre the inner sensor, driver's side and inner sensor, passenger's side",
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
        headline: 'Bring the top edge to its line',
        detail: '2.5 mm along all of it. Rides up against it: pull back, lower it. Short strokes lock it.',
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
        headline: "Centre the outer sensor, passenger's side and outer sensor, driver's side",
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
    rule: 'set the anchors',
    holds: 'always',
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
    ],
  },
  {
    rule: 'openings after the corners',
    holds: ['door …'],
    shownBy: 'door',
    steps: [
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
    rule: 'hollows before what lies round them',
    holds: ['panel with a channel …', 'dry panel with a channel …'],
    shownBy: 'panel with a channel',
    steps: [
      {
        id: 'channel',
        phase: 'lay',
        headline: 'Deepest first: rail channel',
        detail:
          'Lay a thin cord in it, work 2 lengths of 380 mm with two hands, the rest still afloat, then draw the cord. Relax it warm, 48 °C.',
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
    holds: ['bumper …', 'dry lamp …', 'bonnet from the roll', 'tinted panel …', 'mirror cap …'],
    shownBy: 'dry lamp',
    steps: [
      {
        id: 'pull-A',
        phase: 'lay',
        headline: 'Pull A: along the top edge, both ways',
        detail:
          'A hand on the bleed at each side, the line between them across its middle. 9 mm longer (5.9 %), warm: 48 °C over a band at least 80 mm wide, cool two seconds. A little past the mark, let go fast (it takes back 70 % of that), then lay.',
        tools: ['heat gun', 'infra-red thermometer'],
        liquids: [],
        cautions: ['heat', 'heat'],
        heat: 'soften',
        people: 1,
        minutes: 4,
      },
      {
        id: 'pull-B',
        phase: 'lay',
        headline: 'Pull B: along the bottom edge, both ways',
        detail:
          'A hand on the bleed at each side, the line between them across its middle. 9 mm longer (5.9 %), warm: 48 °C over a band at least 80 mm wide, cool two seconds. A little past the mark, let go fast (it takes back 70 % of that), then lay.',
        tools: ['heat gun', 'infra-red thermometer'],
        liquids: [],
        cautions: ['heat', 'heat'],
        heat: 'soften',
        people: 1,
        minutes: 4,
      },
      {
        id: 'pull-C',
        phase: 'lay',
        headline: 'Pull C: over the bulge, towards the wing edge',
        detail:
          'A hand on the bleed at each side, the line between them across its middle. 5 mm longer (5.9 %), warm: 48 °C over a band at least 50 mm wide, cool two seconds. A little past the mark, let go fast (it takes back 70 % of that), then lay.',
        tools: ['heat gun', 'infra-red thermometer'],
        liquids: [],
        cautions: ['heat', 'heat'],
        heat: 'soften',
        people: 1,
        minutes: 4,
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
        detail: 'Wet the face. 13 strokes, light, overlapping by half a blade; the rest stays afloat.',
        tools: ['soft squeegee'],
        liquids: ['slip on the face'],
        cautions: [],
        heat: null,
        people: 1,
        minutes: 9,
      },
    ],
  },
  {
    rule: 'light pass, wet',
    holds: [
      'door … but rehearsed',
      'bumper …',
      'wet lamp …',
      'panel with a channel …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
    ],
    shownBy: 'door',
    steps: [
      {
        id: 'light-pass',
        phase: 'lay',
        headline: 'Light pass, middle to edges',
        detail: 'Wet the face. Strokes overlap by half a blade, blade steep; turn it 45° where a wrinkle comes.',
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
      'bumper …',
      'wet lamp …',
      'panel with a channel …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
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
    holds: ['trim …'],
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
    holds: ['dry lamp …', 'dry panel with a channel …'],
    shownBy: 'dry lamp',
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
    rule: 'flush the edges',
    holds: [
      'door …',
      'bumper …',
      'wet lamp …',
      'panel with a channel …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
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
    holds: ['dry lamp … but cracked lens / crazed lens'],
    shownBy: 'dry lamp',
    steps: [
      {
        id: 'shrink-flaps',
        phase: 'lay',
        headline: 'Shrink the flaps',
        detail: '48 °C, broad and moving, on the loose film above and below; lay it as it draws in.',
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
      'bumper, nobody pulls',
      'dry lamp, nobody pulls',
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
    holds: ['door … but tuck / gap-cut / surface-cut / lip-stop / butt / overlap', 'bumper …'],
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
      'bumper …',
      'wet lamp …',
      'panel with a channel …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
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
    holds: ['dry lamp … but cracked lens / crazed lens'],
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
    holds: ['dry lamp …'],
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
    rule: 'tuck',
    holds: [
      'door … but wrap / gap-cut / surface-cut / lip-stop / butt / overlap',
      'dry lamp …',
      'wet lamp …',
      'trim …',
      'tinted panel …',
      'mirror cap …',
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
    rule: 'cut on the surface',
    holds: ['door, surface-cut'],
    shownBy: 'door, surface-cut',
    steps: [
      {
        id: 'surface-cut',
        phase: 'edges',
        headline: 'Cut on the surface: bottom edge, front edge, window edge and rear edge',
        detail:
          'Masking tape as the line. Fresh segment, blade at about 10°: incise two thirds deep, never through, every corner rounded. Then pull sharply: it parts along the line. A fresh segment now, and again every 3000 mm.',
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
    holds: ['door, lip-stop', 'dome …'],
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
    holds: ['door … but tuck / gap-cut / surface-cut / lip-stop / butt / overlap', 'bumper …'],
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
    holds: ['dry lamp … but cracked lens / crazed lens', 'trim …'],
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
    holds: ['trim …', 'dry panel with a channel …'],
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
      'bumper …',
      'wet lamp … but cracked lens / crazed lens',
      'panel with a channel …',
      'bonnet from the roll …',
      'tinted panel …',
      'mirror cap …',
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
    holds: ['door, surface-cut', 'dry lamp …', 'wet lamp …'],
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
}, 120_000)

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

test('only what every part needs holds for every part', () => {
  const always = planRules.filter((rule) => contexts.every(rule.when)).map((rule) => rule.name)
  expect(always.length).toBeLessThan(planRules.length / 3)
})
