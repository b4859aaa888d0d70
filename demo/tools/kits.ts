/** The demo kits: what lies in each box. Patterns are cut from the forms by `cutPatterns.ts`. */

export interface KitPiece {
  readonly form: string
  readonly name: string
  readonly slot: string
  readonly side: 'left' | 'right' | 'middle'
  readonly film: string
  readonly lot: string
  readonly count?: number
  readonly spares?: number
  readonly within?: readonly [number, number, number, number]
  /** How far the kit is off a true body: size in x and y, bow of the outline, mm. */
  readonly error?: { readonly x: number; readonly y: number; readonly bowMm: number }
  /** How the pattern lies in the kit maker's own coordinates. */
  readonly turnDeg?: number
}

export interface DemoKit {
  readonly id: string
  readonly name: string
  readonly model: string
  readonly note: string
  readonly pieces: readonly KitPiece[]
  readonly rules: readonly { readonly first: string; readonly next: string; readonly reason: string }[]
}

type Draft = Omit<KitPiece, 'side' | 'slot' | 'name' | 'form'>

/** One piece for each side of the vehicle. */
const both = (form: string, name: string, slot: string, draft: Draft, more: Partial<KitPiece> = {}): KitPiece[] =>
  (['left', 'right'] as const).map((side) => ({
    ...draft,
    ...more,
    form: `${form}-${side}`,
    name: `${name}, ${side === 'left' ? 'driver’s side' : 'passenger’s side'}`,
    slot: `${slot}-${side}`,
    side,
  }))

const hull = { film: 'clearcoat-hull-180', lot: 'H180-2611-04' }
const dusk = { film: 'dusk-glass-dry', lot: 'DG-2610-17' }
const weir = { film: 'weir-smoke-wet', lot: 'WS-2609-02' }
const ebony = { film: 'ebony-cast-dry', lot: 'EC-2611-31' }
const dome = { film: 'clear-dome-dry', lot: 'CD-2608-11' }

export const kits: readonly DemoKit[] = [
  {
    id: 'pipit-front-kit',
    name: 'Pipit front kit',
    model: 'velmora-pipit',
    note: 'Cut for a true body. Sensors stay uncovered.',
    pieces: [
      {
        ...hull,
        form: 'pipit-bonnet',
        name: 'Bonnet',
        slot: 'bonnet',
        side: 'middle',
        error: { x: 1.0003, y: 0.9998, bowMm: 0.25 },
        turnDeg: 4,
      },
      { ...hull, form: 'pipit-bumper', name: 'Front bumper', slot: 'front-bumper', side: 'middle', turnDeg: -3 },
      ...both('pipit-door', 'Front door', 'door-front', hull, { turnDeg: 2 }),
      ...both('pipit-mirror', 'Mirror cap', 'mirror', hull, { spares: 0 }),
    ],
    rules: [
      {
        first: 'pipit-mirror-left',
        next: 'pipit-door-left',
        reason: 'Small and tight first, to get the feel of the film.',
      },
    ],
  },
  {
    id: 'pipit-lamp-kit',
    name: 'Pipit lamp kit',
    model: 'velmora-pipit',
    note: 'Semi-cut with bleed. One spare headlamp piece, driver’s side.',
    pieces: [
      ...both('pipit-headlamp', 'Headlamp', 'headlamp', dusk, {
        error: { x: 1.002, y: 1.001, bowMm: 0 },
        turnDeg: -12,
      }).map((piece) => (piece.side === 'left' ? { ...piece, spares: 1 } : piece)),
      ...both('pipit-fog', 'Fog lamp', 'fog-lamp', dome, { turnDeg: 0 }),
    ],
    rules: [
      {
        first: 'pipit-fog-left',
        next: 'pipit-headlamp-left',
        reason: 'The small easy lens first, to get the feel of the film.',
      },
    ],
  },
  {
    id: 'skua-gloss-kit',
    name: 'Skua gloss kit',
    model: 'ondrel-skua',
    note: 'Soft gloss pillars and the chrome strip along the windows.',
    pieces: [
      ...both('skua-pillar-front', 'Front door pillar', 'pillar-front', hull, { turnDeg: 1 }),
      ...both('skua-pillar-rear', 'Rear door pillar', 'pillar-rear', hull, { turnDeg: 1 }),
      ...both('skua-trim', 'Window trim strip', 'trim', ebony),
    ],
    rules: [
      {
        first: 'skua-pillar-front-left',
        next: 'skua-trim-left',
        reason: 'The strip ends over the pillars: what lies underneath goes on first.',
      },
    ],
  },
  {
    id: 'skua-tail-kit',
    name: 'Skua tail lamp kit',
    model: 'ondrel-skua',
    note: 'Two parts a side: the inner lamp sets the line of the outer one.',
    pieces: [
      ...both('skua-tail-inner', 'Tail lamp, inner part', 'tail-lamp-inner', weir, { turnDeg: 3 }),
      ...both('skua-tail-outer', 'Tail lamp, outer part', 'tail-lamp', weir, { turnDeg: -5 }),
    ],
    rules: (['left', 'right'] as const).map((side) => ({
      first: `skua-tail-inner-${side}`,
      next: `skua-tail-outer-${side}`,
      reason: 'The inner lamp sets the line of the outer one.',
    })),
  },
  {
    id: 'drover-lower-kit',
    name: 'Drover lower body kit',
    model: 'tarnbeck-drover',
    note: 'Five pieces a side. The front door piece has two known openings: fix it first and carry its line.',
    pieces: [1, 2, 3, 4, 5].flatMap((n) =>
      both(
        `drover-rocker-${n}`,
        `Lower body ${n}, ${['front wing', 'front door', 'sliding door', 'quarter', 'rear corner'][n - 1]}`,
        `lower-${n}`,
        hull,
        { error: { x: 0.9996, y: 1.0004, bowMm: 0.15 } },
      ),
    ),
    rules: (['left', 'right'] as const).flatMap((side) =>
      [1, 3, 4, 5].map((n) => ({
        first: `drover-rocker-2-${side}`,
        next: `drover-rocker-${n}-${side}`,
        reason: 'The front door piece carries the line for all others.',
      })),
    ),
  },
  {
    id: 'drover-front-kit',
    name: 'Drover chrome kit and panel',
    model: 'tarnbeck-drover',
    note: 'Grille bars are strips with a tuck on each side. Raised pillars first, flats last.',
    pieces: [
      {
        ...ebony,
        form: 'drover-grille-top',
        name: 'Grille, top bar',
        slot: 'grille-top',
        side: 'middle',
        turnDeg: 1,
      },
      {
        ...ebony,
        form: 'drover-grille-bar',
        name: 'Grille bar',
        slot: 'grille-bar',
        side: 'middle',
        count: 3,
        spares: 1,
      },
      { ...hull, form: 'drover-side-panel', name: 'Side panel with channel', slot: 'side-panel-right', side: 'right' },
    ],
    rules: [
      { first: 'drover-grille-top', next: 'drover-grille-bar', reason: 'The bar with the badge sets the spacing.' },
    ],
  },
  {
    id: 'drover-strip-kit',
    name: 'Drover tail lamp strips',
    model: 'tarnbeck-drover',
    note: 'Six strips with a colour change: bottom strips before top strips, side before rear.',
    pieces: [1, 2, 3, 4, 5, 6].map((n) => ({
      ...weir,
      form: `drover-strip-${n}-right`,
      name: `Tail lamp strip ${n}`,
      slot: 'tail-lamp-right',
      side: 'right' as const,
      within: [0, (6 - n) / 6, 1, (7 - n) / 6] as const,
    })),
    rules: [1, 2, 3, 4, 5].map((n) => ({
      first: `drover-strip-${n}-right`,
      next: `drover-strip-${n + 1}-right`,
      reason: n === 3 ? 'Side strips before those of the rear face.' : 'Bottom strips before top strips.',
    })),
  },
  {
    id: 'drover-tail-kit',
    name: 'Drover tail lamps, one piece',
    model: 'tarnbeck-drover',
    note: 'With a deep recess at the reversing lamp: do not stretch the film into it.',
    pieces: both('drover-tail', 'Tail lamp', 'tail-lamp', weir, { turnDeg: 2 }),
    rules: [],
  },
  {
    id: 'finch-lamp-kit',
    name: 'Finch lamp kit',
    model: 'hallowen-finch',
    note: 'Much bleed all round. The inner tail lamp sets the line of the outer one.',
    pieces: [
      ...both('finch-headlamp', 'Headlamp', 'headlamp', dusk, { turnDeg: -6 }),
      ...both('finch-tail-inner', 'Tail lamp, inner part', 'tail-lamp-inner', weir, { turnDeg: 3 }),
      ...both('finch-tail-outer', 'Tail lamp, outer part', 'tail-lamp', weir, { turnDeg: -4 }),
    ],
    rules: (['left', 'right'] as const).map((side) => ({
      first: `finch-tail-inner-${side}`,
      next: `finch-tail-outer-${side}`,
      reason: 'The inner lamp sets the line of the outer one.',
    })),
  },
  {
    id: 'finch-door-kit',
    name: 'Finch doors',
    model: 'hallowen-finch',
    note: 'The liner comes in two parts, the second from the handle on.',
    pieces: both('finch-door', 'Front door', 'door-front', hull, { turnDeg: 1 }),
    rules: [],
  },
  {
    id: 'finch-trim-kit',
    name: 'Finch front trim',
    model: 'hallowen-finch',
    note: 'Each bar is lined up where the last one ended; the other side in the same order.',
    pieces: [
      ...both('finch-trim-1', 'Front trim 1', 'grille-top', ebony),
      ...both('finch-trim-2', 'Front trim 2', 'grille-bar', ebony),
    ].map((piece) => ({ ...piece, slot: piece.slot.replace(/-(left|right)$/, '') })),
    rules: (['left', 'right'] as const).map((side) => ({
      first: `finch-trim-1-${side}`,
      next: `finch-trim-2-${side}`,
      reason: 'The second bar begins where the first one ends.',
    })),
  },
]

export const models = [
  { id: 'velmora-pipit', name: 'Velmora Pipit', kind: 'city hatch' },
  { id: 'ondrel-skua', name: 'Ondrel Skua', kind: 'estate' },
  { id: 'tarnbeck-drover', name: 'Tarnbeck Drover', kind: 'van' },
  { id: 'hallowen-finch', name: 'Hallowen Finch', kind: 'saloon' },
] as const

/** Parts of a model for which no kit has a piece: they are cut from the roll. */
export const withoutPiece: Readonly<
  Record<
    string,
    readonly { readonly name: string; readonly slot: string; readonly form: string; readonly film: string }[]
  >
> = {
  'hallowen-finch': [{ name: 'Front bumper', slot: 'front-bumper', form: 'finch-front', film: hull.film }],
}
