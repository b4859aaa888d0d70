import { orderBySchool, rehearse, setStage } from '../lay/index.ts'
import { practiceWith } from '../practice/index.ts'
import { required } from '../result/index.ts'
import { say } from '../say/index.ts'
import { anyDay, findingKinds, orderPractice, partQuestion, placeOn, rehearsalOptions } from './index.ts'
import type { PlanContext } from './planContext.ts'
import { planContextOf } from './planContextOf.ts'
import { type Otherwise, type TestPart, testPart } from './testParts.ts'

/** What the rules look at for a part under other conditions. */
function contextOf({ facts, laid }: TestPart, otherwise: Otherwise = {}): PlanContext {
  const { rehearsal = laid.rehearsal, shift = anyDay.shift, room, schools, ...other } = otherwise
  const question = partQuestion({ ...facts, ...other })
  const placed = required(placeOn({ ...laid, form: question.lay.form, rehearsal }, question.place))
  const work = schools === undefined ? question.work : { ...question.work, schools }
  return required(planContextOf(placed, { ...work, ...anyDay, shift, room }))
}

/** Edge codes that a door is given all round, one after the other. */
const codes = ['wrap', 'tuck', 'gap-cut', 'surface-cut', 'lip-stop', 'butt', 'overlap'] as const

/**
 * Eleven parts of the demo shop, one of each kind of job, and three of them under every condition that a rule asks for: found on the
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
