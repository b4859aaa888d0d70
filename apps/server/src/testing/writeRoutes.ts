import { readFileSync } from 'node:fs'
import { smallPlan, smallStep } from '@truelay/contract/testing'
import { say } from '@truelay/core/say'

const read = (file: string) => JSON.parse(readFileSync(new URL(`../../../../demo/${file}`, import.meta.url), 'utf8'))
const { id: _, ...newFilm } = read('films/clearcoat-hull-180.json')
/** A made-up id of its own. */
export const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`
export const at = '2030-05-01T09:00:00.000Z'

/** A way to change something in the shop, with a body that is right. */
export interface WriteRoute {
  readonly method: 'POST' | 'PUT' | 'PATCH'
  readonly path: string
  readonly good: Readonly<Record<string, unknown>>
  /** Fields that may be left out. */
  readonly optional?: readonly string[]
  /** A body that is sent as a list of one. */
  readonly inList?: boolean
  /** What it sets off outside the shop’s own store goes in steps, each kept for itself. */
  readonly inSteps?: boolean
}

/** What one fit of another shop taught. */
export const factOfAnother = {
  partId: 'part-1',
  at,
  modelId: 'velmora-pipit',
  slot: 'bonnet',
  pieceId: 'pipit-bonnet-piece',
  body: 'body-1',
  hand: 'hand-1',
  filmId: 'clearcoat-hull-180',
  offset: null,
  fingersAt: [],
  faults: [],
  pace: 1.1,
  laidAgain: 0,
}

/** Every route that writes and takes a body, on the demo shop. */
export const writeRoutes: readonly WriteRoute[] = [
  {
    method: 'POST',
    path: '/jobs',
    good: {
      customer: 'Private owner',
      modelId: 'velmora-pipit',
      year: null,
      colour: 'signal white',
      plate: 'QF 900',
      bay: 'Bay 1',
      personId: 'ines',
      arrivesAt: '2030-05-02T08:00:00.000Z',
      dueAt: '2030-05-03T16:00:00.000Z',
      parts: [{ slot: 'bonnet', name: 'Bonnet', filmId: 'clearcoat-hull-180' }],
    },
  },
  {
    method: 'POST',
    path: '/jobs/0388/visits',
    good: {
      personId: 'ines',
      arrivesAt: '2030-05-02T08:00:00.000Z',
      dueAt: '2030-05-02T10:00:00.000Z',
      partIds: ['0388-05'],
    },
  },
  {
    method: 'POST',
    path: '/memory/borrowed',
    good: {
      says: 'Film works upriver',
      facts: [factOfAnother],
    },
  },
  { method: 'PUT', path: '/memory/forgotten', good: { modelId: 'velmora-pipit', slot: 'bonnet', forgotten: true } },
  {
    method: 'PATCH',
    path: '/jobs/0412',
    good: {
      customer: 'Private owner',
      year: 2024,
      colour: 'slate green',
      plate: 'QF 901',
      bay: 'Bay 2',
      personId: 'bo',
      arrivedAt: '2030-05-02T08:00:00.000Z',
      dueAt: '2030-05-03T16:00:00.000Z',
    },
    optional: ['customer', 'year', 'colour', 'plate', 'bay', 'personId', 'arrivedAt', 'dueAt'],
  },
  { method: 'PUT', path: '/jobs/0413/closed', good: { closed: true } },
  {
    method: 'PUT',
    path: '/jobs/0414/hand-over',
    good: { personId: 'ines', name: 'Hanne Ostby', strokes: [[0.1, 0.2, 0.3, 0.4]] },
  },
  {
    method: 'PUT',
    path: '/parts/0412-headlamp-left/light-acknowledged',
    good: { name: 'Hanne Ostby', says: say`62 % of the light is left.` },
  },
  { method: 'PUT', path: '/jobs/0414/removed', good: { removed: true } },
  { method: 'POST', path: '/customers/forgotten', good: { customer: 'Camper hire on the quay' } },
  {
    method: 'POST',
    path: '/jobs/0412/parts',
    good: { slot: 'tailgate', name: 'Tailgate', filmId: 'clearcoat-hull-180' },
  },
  { method: 'PUT', path: '/models/velmora-pipit', good: read('models/velmora-pipit.json') },
  {
    method: 'PUT',
    path: '/kits/pipit-lamp-kit/whole',
    good: {
      kit: read('kits/pipit-lamp-kit.json'),
      pieces: [read('pieces/pipit-headlamp-left-piece.json')],
    },
  },
  { method: 'PUT', path: '/films/clear-dome-dry/removed', good: { removed: true } },
  { method: 'PUT', path: '/pieces/finch-door-left/removed', good: { removed: true } },
  { method: 'PUT', path: '/kits/finch-trim-kit/removed', good: { removed: true } },
  { method: 'PUT', path: '/forms/finch-door-left/removed', good: { removed: true } },
  { method: 'PUT', path: '/models/hallowen-finch/removed', good: { removed: true } },
  { method: 'PUT', path: '/parts/0413-02/dropped', good: { dropped: true } },
  { method: 'PUT', path: '/parts/0413-03/film', good: { filmId: 'clearcoat-hull-180' } },
  { method: 'PUT', path: '/people/ines/new-pin', good: { allowed: true } },
  { method: 'POST', path: '/people', good: { name: 'Runa', role: 'installer', hours: null }, optional: ['hours'] },
  {
    method: 'PATCH',
    path: '/people/bo',
    good: { name: 'Bo', role: 'installer', hours: null, leftAt: null },
    optional: ['name', 'role', 'hours', 'leftAt'],
  },
  {
    method: 'POST',
    path: '/films',
    good: { ...newFilm, name: 'Hullskin 200 clear' },
    optional: ['patterned', 'transmission'],
  },
  { method: 'POST', path: '/models', good: { name: 'Corvid Wren', kind: 'van' } },
  {
    method: 'PUT',
    path: `/jobs/0412/findings/${id(1)}`,
    good: {
      partId: '0412-bonnet',
      slot: 'bonnet',
      kind: 'chip',
      at: [0.5, 0.5],
      sizeMm: 5,
      note: '',
      photos: [],
      personId: 'ines',
      foundAt: at,
    },
  },
  { method: 'PUT', path: '/jobs/0412/sign-off', good: { name: 'R. Holm', strokes: [[0.1, 0.2, 0.3, 0.4]] } },
  {
    method: 'PUT',
    path: '/jobs/0412/kit-check/pipit-bonnet-piece',
    good: { arrived: 1, lot: 'H180-2611-04', personId: 'ines' },
  },
  {
    method: 'POST',
    path: '/jobs/0412/cuts',
    good: {
      id: '6f1c2b6e-3a52-4d0b-9f59-1d2f4b7e8a90',
      filmId: 'clearcoat-hull-180',
      lot: 'H180-2611-04',
      personId: 'ines',
      rollWidthMm: 1520,
      usedLengthMm: 1000,
      pieces: [{ pieceId: 'pipit-bonnet-piece', count: 1 }],
      file: 'IN;PU0,0;PD400,0;',
    },
    optional: ['sheets', 'piecesMm2', 'from'],
    inSteps: true,
  },
  { method: 'POST', path: '/plotter/test-square', good: { sideMm: 200 }, inSteps: true },
  {
    method: 'POST',
    path: '/labels',
    good: { labels: [{ code: 'TLR1/r1/H180-2611-04', lines: ['Roll 1', 'Hullskin 180 clear'] }] },
    inSteps: true,
  },
  {
    method: 'POST',
    path: '/stock/rolls',
    good: {
      filmId: 'clearcoat-hull-180',
      lot: 'H180-2701-01',
      widthMm: 1520,
      lengthMm: 15_000,
      price: null,
      cameAt: at,
    },
  },
  {
    method: 'PUT',
    path: '/stock/rolls/r2',
    good: {
      id: 'r2',
      filmId: 'clearcoat-hull-180',
      lot: 'H180-2612-08',
      widthMm: 1520,
      lengthMm: 15_000,
      price: 940,
      cameAt: at,
    },
  },
  {
    method: 'POST',
    path: '/stock/rolls/r1/lines',
    good: { id: id(77), at, personId: 'ines', happened: { kind: 'measured', leftMm: 8000 } },
  },
  { method: 'PUT', path: '/parts/0412-bonnet/shift', good: { xMm: 1, yMm: 0, turnDeg: 0 } },
  {
    method: 'PATCH',
    path: '/parts/0412-bonnet/choices',
    good: { ends: { nose: 'wrap' }, liquids: null, cut: null, hands: 1, light: null },
    optional: ['ends', 'liquids', 'cut', 'hands', 'light'],
  },
  {
    method: 'PUT',
    path: '/jobs/0412/sets',
    good: { sets: [{ mode: 'to and fro', partIds: ['0412-bonnet', '0412-headlamp-left'] }] },
  },
  { method: 'PUT', path: '/parts/0412-bonnet/form', good: { formId: 'pipit-bonnet' } },
  { method: 'PUT', path: '/parts/0412-bonnet/piece', good: { pieceId: 'pipit-bonnet-piece' } },
  {
    method: 'PUT',
    path: '/forms/pipit-bonnet',
    good: read('forms/pipit-bonnet.json'),
    optional: ['channels', 'raised', 'obstacles', 'opens'],
  },
  {
    method: 'PUT',
    path: '/films/clearcoat-hull-180',
    good: read('films/clearcoat-hull-180.json'),
    optional: ['patterned', 'transmission'],
  },
  { method: 'PUT', path: '/pieces/pipit-bonnet-piece', good: read('pieces/pipit-bonnet-piece.json') },
  { method: 'PUT', path: '/kits/pipit-front-kit', good: read('kits/pipit-front-kit.json') },
  {
    method: 'PUT',
    path: `/batches/${id(2)}`,
    good: {
      id: id(2),
      says: say`light slip`,
      school: 'light slip',
      strength: { alcoholPercent: 0, soapMlPerL: 1.3 },
      bottleMl: 1000,
      leftMl: 1000,
      waterKind: 'distilled',
      add: [{ what: 'water', ml: 999 }],
      personId: 'ines',
    },
  },
  {
    method: 'PUT',
    path: '/day/wishes',
    good: {
      pins: [{ partId: '0412-bonnet', personId: null, notBefore: at }],
      away: [],
    },
  },
  { method: 'PUT', path: '/supplies', good: { what: 'soap', leftMl: 500 } },
  { method: 'POST', path: '/room', good: { temperatureC: 20, humidityPercent: 50 } },
  {
    method: 'PUT',
    path: '/devices',
    good: { room: null, infrared: null, forecast: null, plotter: null, labelPrinter: null },
  },
  {
    method: 'POST',
    path: '/parts/0412-bonnet/fit',
    inList: true,
    good: {
      id: id(3),
      partId: '0412-bonnet',
      personId: 'ines',
      at,
      kind: 'fitStarted',
      plan: smallPlan([smallStep('mix'), smallStep('wash')]),
    },
  },
  {
    method: 'POST',
    path: '/exercises',
    good: { id: id(9700), at, personId: 'ines', kind: 'gaps', level: 2, seed: 4711, share: 0.85 },
  },
]

/** A body as its route takes it. */
export const sent = ({ inList }: WriteRoute, body: unknown) => (inList === true ? [body] : body)
