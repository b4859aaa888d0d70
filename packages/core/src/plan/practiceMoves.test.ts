import { readFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import { waitKinds, waitNow } from '../wait/index.ts'
import { whyItGrabs } from '../wait/index.ts'
import { releaseAt } from '../wait/index.ts'
import { edgePlan } from '../edges/index.ts'
import { mixBatch, measureBatch } from '../mix/index.ts'
import { orderBySchool } from '../lay/index.ts'
import { type Practice, type PracticeKey, practiceKeys, practiceTable, practiceWith } from '../practice/index.ts'
import { required } from '../result/index.ts'
import {
  bowEnoughMm,
  carryReadings,
  edgeRulesOf,
  holdUp,
  measuresOf,
  mixLimits,
  orderPractice,
  partQuestion,
  placeOn,
  rehearsalOptions,
  ruleOfCode,
  strengthOf,
} from './index.ts'
import { type Otherwise, planOf, type TestPart, testPart } from './testParts.ts'

/** Figures that are read by a screen or the server itself: where, so that this list cannot outlive the code. */
const readElsewhere: Partial<Record<PracticeKey, string>> = {
  patternGap: 'apps/web/src/screens/shelf/ImportScreen.tsx',
  patternThin: 'apps/web/src/screens/shelf/ImportScreen.tsx',
  batchKeeps: 'apps/web/src/screens/fit/useStandIns.ts',
}

const door = testPart('pipit-door-left', 'clearcoat-hull-180', null, 400)
const lamp = testPart('pipit-headlamp-left', 'dusk-glass-dry', 'pipit-headlamp-left-piece', 400)
const tail = testPart('skua-tail-outer-left', 'weir-smoke-wet', null, 400)
const bar = testPart('skua-trim-left', 'ebony-cast-dry', null, 400)
const panel = testPart('drover-side-panel', 'clearcoat-hull-180', null, 1200)

const codes = ['wrap', 'tuck', 'gap-cut', 'surface-cut', 'lip-stop', 'stop-short', 'butt', 'overlap'] as const
const behinds = ['flange, 14 mm', 'flange, 7 mm', 'gap to the wing']
const coded = ({ facts }: TestPart) => ({
  ...facts.form,
  edges: facts.form.edges.map((e, i) => ({ ...e, code: codes[i % codes.length] ?? e.code, behind: behinds[i % 3] })),
})
const wrapped = ({ facts }: TestPart) => ({
  ...facts.form,
  edges: facts.form.edges.map((e) => ({ ...e, code: 'wrap' as const, behind: 'flange, 11 mm' })),
})
const allCut = ({ facts }: TestPart) => ({
  ...facts.form,
  edges: facts.form.edges.map((e) => ({ ...e, code: 'surface-cut' as const })),
})
const finishedAt = new Date('2030-05-01T16:00:00Z')
const forecast = Array.from({ length: 96 }, (_, h) => ({
  at: new Date(finishedAt.getTime() + h * 3_600_000),
  temperatureC: 8 + 6 * Math.cos((h / 24) * 2 * Math.PI),
}))

/** Everything of the core that hangs on a shop's figures, as text. */
function answers(practice: Practice): string {
  const under: Otherwise = { practice, found: [{ kind: 'out of true', at: [0.5, 0.5] }] }
  const schools = ['light slip', 'heavy slip', 'hybrid', 'weak tack', 'strong tack', 'tack only'] as const
  const heldUp = [door, lamp, bar].map(({ facts, laid }) => {
    const { place, work } = partQuestion({ ...facts, practice })
    const stretched = [1.01, 1.03, 1.05, 1.08, 1.12].map((neededStretch) => ({
      ...laid,
      worked: { ...laid.worked, neededStretch },
    }))
    return [laid, ...stretched].map((l) => required(holdUp(required(placeOn(l, place)), place, work.film, practice)))
  })
  const air = { roomC: 16, humidityPercent: 40 }
  const room = { temperatureC: 13, humidityPercent: 33 }
  const slip = { alcoholPercent: 5, soapMlPerL: 1 }
  const grab = { slip, tackAlcoholPercent: 5, climate: air, minutesSinceWet: 9 }
  const batch = required(
    mixBatch(
      { target: { alcoholPercent: 24, soapMlPerL: 12 }, stock: { alcoholPercent: 70 }, batchMl: 433 },
      mixLimits(practice),
    ),
  )
  return JSON.stringify([
    [door, lamp, tail, bar, panel].map((part) => planOf(part, under)),
    [door, lamp].map((part) => planOf(part, { practice, form: coded(part), pattern: null })),
    planOf(door, { practice, form: allCut(door), pattern: null }),
    [6, 12, 20].map((soapMlPerL) =>
      mixBatch({ target: { soapMlPerL }, stock: {}, batchMl: 1000 }, mixLimits(practice)),
    ),
    planOf(lamp, { practice, room }),
    [door, lamp].map(({ facts, laid }) =>
      edgePlan(coded({ facts, laid }), laid.surface, edgeRulesOf(coded({ facts, laid }), practice), practice),
    ),
    edgePlan(wrapped(door), door.laid.surface, edgeRulesOf(wrapped(door), practice), practice),
    codes.map((code) => ruleOfCode(code, practice)),
    heldUp,
    waitKinds.map((kind) => required(waitNow({ kind, ...air, alcoholPercent: 8 }, practice))),
    [forecast, forecast.map((h) => ({ ...h, temperatureC: h.temperatureC + 12 }))].map((f) =>
      releaseAt({ finishedAt, room: air, forecast: f }, practice),
    ),
    (['too early', 'not at all'] as const).map((symptom) => whyItGrabs(symptom, grab, practice)),
    schools.map((school) => strengthOf(school, practice)),
    [batch, measureBatch(batch.add, { alcoholPercent: 70 }, measuresOf(practice))],
    orderBySchool('one end and follow', panel.facts.form, panel.laid.surface, orderPractice(practice)),
    [orderPractice(practice), rehearsalOptions(practice), carryReadings(practice), bowEnoughMm(practice)],
  ])
}

/** Two figures of its range, well away from the usual one. */
const others = (key: PracticeKey) => {
  const { value, min, max } = practiceTable[key]
  return [value + 0.6 * (max - value), value - 0.6 * (value - min)].filter((other) => other !== value)
}
const usual = answers(practiceWith())

test.each(practiceKeys)('“%s” moves some answer', (key) => {
  const where = readElsewhere[key]
  if (where !== undefined) {
    expect(readFileSync(where, 'utf8')).toContain(key)
    return
  }
  expect(others(key).some((other) => answers(practiceWith({ [key]: other })) !== usual)).toBe(true)
})
