import type { FormDoc } from '../form/index.ts'
import { layPart, orderBySchool, rehearse, setStage } from '../lay/index.ts'
import { practiceWith } from '../practice/index.ts'
import { required } from '../result/index.ts'
import { say } from '../say/index.ts'
import {
  anyDay,
  findingKinds,
  nothingChosen,
  ordinaryForm,
  orderPractice,
  partQuestion,
  placeOn,
  rehearsalOptions,
} from './index.ts'
import type { PlanContext } from './planContext.ts'
import { planContextOf } from './planContextOf.ts'
import { demoForm, type Otherwise, type TestPart, testPart } from './testParts.ts'

/** What the rules look at for a part under other conditions. */
function contextOf({ facts, laid }: TestPart, otherwise: Otherwise = {}): PlanContext {
  const { rehearsal = laid.rehearsal, shift = anyDay.shift, room, schools, ...other } = otherwise
  const question = partQuestion({ ...facts, ...other })
  const placed = required(placeOn({ ...laid, form: question.lay.form, rehearsal }, question.place))
  const work = schools === undefined ? question.work : { ...question.work, schools }
  return required(planContextOf(placed, { ...work, ...anyDay, shift, room }))
}

const wrappedAll = (form: FormDoc): FormDoc => ({ ...form, edges: form.edges.map((e) => ({ ...e, code: 'wrap' })) })

/** Edge codes that a door is given all round, one after the other. */
const codes = ['wrap', 'tuck', 'gap-cut', 'surface-cut', 'lip-stop', 'butt', 'overlap'] as const

/**
 * Parts of the demo shop, one or more of each kind of job, and three of them under every condition that a rule asks for: found on the
 * walk-round, low and cold, with other edges, with film left over, in an order that was rehearsed.
 */
export function testContexts(): ReadonlyMap<string, PlanContext> {
  const door = testPart('pipit-door-left', 'clearcoat-hull-180', 'pipit-door-left', 400)
  const lamp = testPart('pipit-headlamp-left', 'dusk-glass-dry', 'pipit-headlamp-left-piece', 400)
  const wetLamp = testPart('skua-tail-outer-left', 'weir-smoke-wet', 'skua-tail-outer-left', 400)
  const parts: Record<string, TestPart> = {
    door,
    'dry lamp': lamp,
    'wet lamp': wetLamp,
    trim: testPart('skua-trim-left', 'ebony-cast-dry', 'skua-trim-left', 400),
    'panel with a channel': testPart('drover-side-panel', 'clearcoat-hull-180', 'drover-side-panel', 1500),
    bumper: testPart('pipit-bumper', 'clearcoat-hull-180', 'pipit-bumper', 400),
    dome: testPart('pipit-fog-left', 'clear-dome-dry', 'pipit-fog-left', 400),
    'bonnet from the roll': testPart('pipit-bonnet', 'clearcoat-hull-180', null, 400),
    'dry panel with a channel': testPart('drover-side-panel', 'ebony-cast-dry', null, 1500),
    'tinted panel': testPart('pipit-mirror-left', 'weir-smoke-wet', null, 400),
    'mirror cap': testPart('pipit-mirror-left', 'clearcoat-hull-180', 'pipit-mirror-left', 400),
  }
  const front = testPart('finch-front', 'clearcoat-hull-180', null, 500)
  const roof = { ...door.facts, form: ordinaryForm({ slot: 'roof', name: 'Roof', size: [1200, 1500] }), pattern: null }
  const unmeasured = { facts: roof, laid: required(layPart(partQuestion(roof).lay, { triangles: 300 })) }
  const others: readonly (readonly [string, TestPart, Otherwise])[] = [
    [
      'front in one fluid',
      front,
      { choices: { ...nothingChosen, liquids: { slip: 'single fluid', tack: 'single fluid' } } },
    ],
    ['lamp with humps', testPart('finch-tail-outer-left', 'weir-smoke-wet', 'finch-tail-outer-left', 500), {}],
    ['lamp with a recess', testPart('drover-tail-left', 'weir-smoke-wet', 'drover-tail-left', 500), {}],
    ['lamp under a pattern', testPart('finch-headlamp-left', 'lattice-shade-dry', null, 500), {}],
    ['lamp on water', wetLamp, { choices: { ...nothingChosen, liquids: { slip: 'water only', tack: 'water only' } } }],
    [
      'lamp rinsed',
      testPart('finch-headlamp-left', 'clearcoat-hull-180', null, 500),
      { choices: { ...nothingChosen, liquids: { slip: 'light slip', tack: 'water only' } } },
    ],
    ['door with a bend', testPart('finch-door-left', 'clearcoat-hull-180', 'finch-door-left', 500), {}],
    ['bar with a badge', testPart('drover-grille-top', 'ebony-cast-dry', 'drover-grille-top', 500), {}],
    [
      'lower body piece in a set',
      testPart('drover-rocker-3-left', 'clearcoat-hull-180', 'drover-rocker-3-left', 300),
      {
        line: {
          placed: 'carried and measured up',
          nearSigmaMm: 0.5,
          farSigmaMm: 0.5,
          measureAtMm: [1020],
          from: 'Lower body 2',
          joints: 4,
        },
        set: {
          mode: 'piece after piece',
          place: 1,
          of: 5,
          before: null,
          next: 'Lower body 4',
          others: { areaMm2: 5e5, edgeMm: 4000 },
        },
      },
    ],
    ['roof that nobody has measured', unmeasured, { measured: false }],
    ['bar after a bar', testPart('finch-trim-2-left', 'ebony-cast-dry', 'finch-trim-2-left', 400), {}],
    [
      'wrapped bonnet, alone',
      parts['bonnet from the roll'] ?? door,
      { form: wrappedAll(demoForm('pipit-bonnet')), choices: { ...nothingChosen, hands: 1 } },
    ],
  ]
  const three = Object.entries({ door, 'dry lamp': lamp, 'wet lamp': wetLamp })
  const practice = practiceWith()
  const { form, film } = door.facts
  const stage = required(setStage(form, film, 400))
  const order = orderBySchool('corners first', form, stage.surface, orderPractice(practice))
  const rehearsal = rehearse(stage, order, rehearsalOptions(practice))
  const coded = (code: (typeof form.edges)[number]['code']) => ({
    ...form,
    edges: form.edges.map((e) => ({ ...e, code })),
  })
  return new Map([
    ...Object.entries(parts).map(([name, part]) => [name, contextOf(part)] as const),
    ...others.map(([name, part, otherwise]) => [name, contextOf(part, otherwise)] as const),
    ...three.map(
      ([name, part]) =>
        [
          `${name}, low and cold`,
          contextOf(part, { low: true, room: { temperatureC: 8, humidityPercent: 15 } }),
        ] as const,
    ),
    ...findingKinds.flatMap((kind) =>
      three.map(
        ([name, part]) => [`${name}, ${kind}`, contextOf(part, { found: [{ kind, at: [0.5, 0.5] }] })] as const,
      ),
    ),
    ...codes.map((code) => [`door, ${code}`, contextOf(door, { form: coded(code), pattern: null })] as const),
    ...Object.entries(parts).map(
      ([name, { facts, laid }]) =>
        [
          `${name}, nobody pulls`,
          contextOf({ facts, laid: { ...laid, worked: { ...laid.worked, ...laid.natural } } }),
        ] as const,
    ),
    ['door, rehearsed', contextOf(door, { chosen: { order, because: say`It was rehearsed.` }, rehearsal })],
  ])
}
