import { readFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import type { FormDoc } from '../form/index.ts'
import { releaseAt, waitKinds, waitNow, whyItGrabs } from '../wait/index.ts'
import { type FaultEvidence, faultKinds, rankCauses } from '../judge/index.ts'
import { seenFromMm } from '../lastLook/index.ts'
import { type FitFact, recallPart } from '../memory/index.ts'
import { edgePlan } from '../edges/index.ts'
import { plainLens } from '../light/index.ts'
import { mixBatch, measureBatch } from '../mix/index.ts'
import { orderBySchool } from '../lay/index.ts'
import {
  type Practice,
  practiceGroups,
  type PracticeKey,
  practiceKeys,
  practiceTable,
  practiceWith,
} from '../practice/index.ts'
import { required } from '../result/index.ts'
import {
  bowEnoughMm,
  carryReadings,
  edgeRulesOf,
  filmTypes,
  holdUp,
  measuresOf,
  mixLimits,
  nothingChosen,
  orderPractice,
  partQuestion,
  placeOn,
  rehearsalOptions,
  ruleOfCode,
  strengthOf,
} from './index.ts'
import { planOf, type TestPart, testPart } from './testParts.ts'
import { watched } from './testPractice.ts'

/** Figures that are read by a screen or the server itself: where, so that this list cannot outlive the code. */
const readElsewhere: Partial<Record<PracticeKey, string>> = {
  outlineReading: 'apps/web/src/screens/laySheet/numbers/WorstEdge.tsx',
  patternGap: 'apps/web/src/screens/shelf/ImportScreen.tsx',
  patternThin: 'apps/web/src/screens/shelf/ImportScreen.tsx',
  lensDulled: 'apps/web/src/screens/light/LightWish.tsx',
  lensYellowed: 'apps/web/src/screens/light/LightWish.tsx',
  dayChangeOver: 'packages/core/src/shopDay/dayOfShop.ts',
  dayHandOver: 'packages/core/src/shopDay/dayOfShop.ts',
  dayPairSlack: 'packages/core/src/shopDay/partTasks.ts',
  dayPauseSlack: 'packages/core/src/shopDay/dayOfShop.ts',
  dayPromiseSlack: 'packages/core/src/shopDay/dayOfShop.ts',
  dayPaceSpread: 'apps/server/src/day/reckonDay.ts',
  dayGain: 'apps/server/src/day/reckonDay.ts',
  cutGap: 'apps/web/src/screens/cut/cutQuestion.ts',
  cutBorder: 'apps/web/src/screens/cut/cutQuestion.ts',
  cutOvercut: 'apps/web/src/screens/cut/cutFiles.ts',
  knifeOffset: 'apps/web/src/screens/cut/cutFiles.ts',
  cutStretch: 'apps/web/src/screens/cut/cutFiles.ts',
  nestSeconds: 'apps/web/src/screens/cut/CutOfFilm.tsx',
  plotterAlong: 'apps/web/src/screens/cut/cutFiles.ts',
  plotterAcross: 'apps/web/src/screens/cut/cutFiles.ts',
  labelWidth: 'apps/server/src/labels/routes.ts',
  labelHeight: 'apps/server/src/labels/routes.ts',
  cutYield: 'apps/server/src/filmNeeds/readStock.ts',
  rollReserve: 'apps/server/src/filmNeeds/readStock.ts',
  offcutLeast: 'apps/web/src/screens/cut/CutOfFilm.tsx',
  batchKeeps: 'apps/web/src/screens/fit/useStandIns.ts',
}

const door = testPart('pipit-door-left', 'clearcoat-hull-180', null, 400)
const lamp = testPart('pipit-headlamp-left', 'dusk-glass-dry', 'pipit-headlamp-left-piece', 400)
const tail = testPart('skua-tail-outer-left', 'weir-smoke-wet', null, 400)
const bar = testPart('skua-trim-left', 'ebony-cast-dry', null, 400)
const panel = testPart('drover-side-panel', 'clearcoat-hull-180', null, 1200)

const dome = testPart('pipit-fog-left', 'clear-dome-dry', 'pipit-fog-left', 400)
const bonnet = testPart('pipit-bonnet', 'clearcoat-hull-180', null, 400)
const bent = testPart('finch-door-left', 'clearcoat-hull-180', 'finch-door-left', 400)
const humps = testPart('finch-tail-outer-left', 'weir-smoke-wet', 'finch-tail-outer-left', 400)
const pillar = testPart('drover-grille-bar', 'ebony-cast-dry', 'drover-grille-bar', 400)
const clear = { ...dome.facts.film, transmission: 0.92 }

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

const schools = ['light slip', 'heavy slip', 'hybrid', 'weak tack', 'strong tack', 'tack only'] as const
const air = { roomC: 16, humidityPercent: 40 }
const slip = { alcoholPercent: 5, soapMlPerL: 1 }
const grab = { slip, tackAlcoholPercent: 5, climate: air, minutesSinceWet: 9 }
const stock = { alcoholPercent: 70 }
const forecasts = [forecast, forecast.map((h) => ({ ...h, temperatureC: h.temperatureC + 12 }))]

function held({ facts, laid }: TestPart, practice: Practice) {
  const { place, work } = partQuestion({ ...facts, practice })
  const stretched = [1.01, 1.03, 1.05, 1.08, 1.12].map((neededStretch) => ({
    ...laid,
    worked: { ...laid.worked, neededStretch },
  }))
  return [laid, ...stretched].map((l) => required(holdUp(required(placeOn(l, place)), place, work.film, practice)))
}
function mixed(practice: Practice) {
  const target = { alcoholPercent: 24, soapMlPerL: 12 }
  const batch = required(mixBatch({ target, stock, batchMl: 433 }, mixLimits(practice)))
  return [batch, measureBatch(batch.add, stock, measuresOf(practice))]
}
const edgesOf = (form: FormDoc, { laid }: TestPart, practice: Practice) =>
  edgePlan(form, laid.surface, edgeRulesOf(form, practice), practice)

/** Everything that can be known of a place, so that each figure of judging has something to weigh. */
const known: FaultEvidence = {
  excessMmPer100: 1.1,
  minutesEarly: 5,
  minutesDry: 3,
  roomC: 11,
  humidityPercent: 78,
  hottestC: 62,
  leastC: 80,
  damageC: 110,
  bladeCutMm: 2000,
  bladeLastsMm: 3000,
  found: ['coating'],
  earlierFits: 4,
  earlierSame: 2,
  answers: { moves: true },
}
const judged = (practice: Practice) =>
  filmTypes.map((type) => faultKinds.map((fault) => rankCauses(fault, { type, laid: 'wet' }, known, practice)))

/** Two measured fits of one piece, one of them far off. */
const taught = (value: number): FitFact => ({
  partId: 'p',
  at: '2030-05-01T09:00:00.000Z',
  modelId: 'm',
  slot: 's',
  pieceId: 'q',
  body: `body ${value}`,
  hand: 'h',
  filmId: 'f',
  offset: { xMm: { value, sigma: 0.2 }, yMm: { value: 1, sigma: 0.2 }, turnDeg: { value: 0, sigma: 0.1 } },
  fingersAt: [],
  faults: [],
  pace: null,
  laidAgain: 0,
})
const recalled = (practice: Practice) =>
  [1, 6, 20].map((mm) =>
    recallPart(
      [taught(mm), taught(mm + 0.3), taught(mm - 0.2)],
      { modelId: 'm', slot: 's', pieceId: 'q', body: 'another', hand: 'h' },
      practice,
    ),
  )

/** What hangs on a shop's figures, the quick answers first. */
const probes: readonly ((practice: Practice) => unknown)[] = [
  judged,
  seenFromMm,
  recalled,
  (p) => [orderPractice(p), rehearsalOptions(p), carryReadings(p), bowEnoughMm(p)],
  (p) => codes.map((code) => ruleOfCode(code, p)),
  (p) => waitKinds.map((kind) => required(waitNow({ kind, ...air, alcoholPercent: 8 }, p))),
  (p) => forecasts.map((f) => releaseAt({ finishedAt, room: air, forecast: f }, p)),
  (p) => (['too early', 'not at all'] as const).map((symptom) => whyItGrabs(symptom, grab, p)),
  (p) => schools.map((school) => strengthOf(school, p)),
  mixed,
  (p) => [6, 12, 20].map((soapMlPerL) => mixBatch({ target: { soapMlPerL }, stock: {}, batchMl: 1000 }, mixLimits(p))),
  (p) => [door, lamp].map((part) => edgesOf(coded(part), part, p)),
  (p) => edgesOf(wrapped(door), door, p),
  (p) => orderBySchool('one end and follow', panel.facts.form, panel.laid.surface, orderPractice(p)),
  (p) => [door, lamp, bar].map((part) => held(part, p)),
  (p) => planOf(door, { practice: p, found: [{ kind: 'out of true', at: [0.5, 0.5] }] }),
  (p) => planOf(lamp, { practice: p, room: { temperatureC: 13, humidityPercent: 33 } }),
  (p) => planOf(door, { practice: p, form: allCut(door), pattern: null }),
  (p) => [bar, panel, tail, lamp, dome, bonnet, bent, humps, pillar].map((part) => planOf(part, { practice: p })),
  (p) => planOf(dome, { practice: p, film: clear }),
  (p) => planOf(tail, { practice: p, choices: { ...nothingChosen, light: { ...plainLens, otherLamps: false } } }),
  (p) => [door, lamp].map((part) => planOf(part, { practice: p, form: coded(part), pattern: null })),
]

/** Two figures of its range, well away from the usual one. */
const others = (key: PracticeKey) => {
  const { value, min, max } = practiceTable[key]
  return [value + 0.6 * (max - value), value - 0.6 * (value - min)].filter((other) => other !== value)
}
/** Each probe's answer to the usual figures, and which of them it looked at. */
const usual = probes.map((probe) => {
  const { practice, read } = watched(practiceWith())
  return { probe, answer: JSON.stringify(probe(practice)), read }
})

/** How long steps take is looked at step by step in minutesOfSteps.test.ts. */
const minutes = practiceGroups.filter(({ name }) => name.startsWith('minutes')).flatMap(({ keys }) => keys)

test.each(practiceKeys.filter((key) => !minutes.includes(key)))('“%s” moves some answer', (key) => {
  const where = readElsewhere[key]
  if (where !== undefined) {
    expect(readFileSync(where, 'utf8')).toContain(key)
    return
  }
  const moved = usual
    .filter(({ read }) => read.has(key))
    .some(({ probe, answer }) =>
      others(key).some((other) => JSON.stringify(probe(practiceWith({ [key]: other }))) !== answer),
    )
  expect(moved).toBe(true)
})
