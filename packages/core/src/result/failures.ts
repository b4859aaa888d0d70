/**
 * Every failure that an installer can meet, in one table: the facts it carries, the sentence it says, and what to do.
 * Codes are never renamed and never used again for something else.
 */
const round = (value: number, digits = 1) => {
  const text = value.toFixed(digits)
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text
}

const catalogue = {
  OUTLINE_OPEN: {
    says: (f: { what: string; gapMm: number }) =>
      `The outline of ${f.what} does not close: its end is ${round(f.gapMm)} mm from its start.`,
    fix: 'Let the last segment end where the outline starts.',
  },
  OUTLINE_CROSSES: {
    says: (f: { what: string; xMm: number; yMm: number }) =>
      `The outline of ${f.what} crosses itself near x ${round(f.xMm)}, y ${round(f.yMm)} mm.`,
    fix: 'Correct the points there so that the outline runs round once.',
  },
  OUTLINE_TOO_SMALL: {
    says: (f: { what: string; areaMm2: number }) =>
      `The outline of ${f.what} encloses only ${round(f.areaMm2)} square millimetres.`,
    fix: 'Check the unit: lengths are in millimetres.',
  },
  OUTLINE_FOLDED: {
    says: (f: { what: string; segment: number; radiusMm: number; chordMm: number }) =>
      `Segment ${f.segment} of ${f.what} is an arc of radius ${round(f.radiusMm)} mm over a chord of ${round(f.chordMm)} mm; no such arc exists.`,
    fix: 'The radius must be at least half the chord.',
  },
  BOW_CONTRADICTS: {
    says: (f: { first: string; second: string; measuredMm: number; expectedMm: number }) =>
      `Bow reading "${f.first}" says ${round(f.measuredMm)} mm where "${f.second}" leaves only ${round(f.expectedMm)} mm possible: they contradict each other.`,
    fix: 'Measure both again with the straightedge flat on the part, and correct the one that was wrong.',
  },
  BOW_OUTSIDE: {
    says: (f: { reading: string; xMm: number; yMm: number }) =>
      `Bow reading "${f.reading}" touches the part at x ${round(f.xMm)}, y ${round(f.yMm)} mm, which is outside its outline.`,
    fix: 'Give both contact points on the part, in the same millimetres as the outline.',
  },
  BOW_CHORD_SHORT: {
    says: (f: { reading: string; chordMm: number; planMm: number }) =>
      `Bow reading "${f.reading}" has a chord of ${round(f.chordMm)} mm, but its two contact points lie ${round(f.planMm)} mm apart.`,
    fix: 'A chord cannot be shorter than the distance of its ends seen from above: correct one of them.',
  },
  SCAN_SPOTS_IN_LINE: {
    says: () => 'The three places on the scan lie on one line.',
    fix: 'Choose a place to the right and one above, well apart.',
  },
  SCAN_TOO_SMALL: {
    says: (f: { widthMm: number; heightMm: number }) =>
      `Seen straight on the scan is only ${round(f.widthMm)} x ${round(f.heightMm)} mm.`,
    fix: 'Check its unit, and the three places by which it was turned.',
  },
  HALF_NOT_ON_MIDDLE: {
    says: (f: { offMm: number }) =>
      `The half outline does not begin and end on the middle line: it is ${round(f.offMm)} mm off.`,
    fix: 'Put its first and last point at x = 0, with a straight piece between them.',
  },
  CHANNEL_TOO_NARROW: {
    says: (f: { channel: string; widthMm: number; leastMm: number }) =>
      `The channel "${f.channel}" is ${round(f.widthMm)} mm wide; with its depth and walls it needs at least ${round(f.leastMm)} mm.`,
    fix: 'Measure width, depth and wall angle again: one of them is off.',
  },
  FORM_TOO_COARSE: {
    says: (f: { triangles: number; least: number }) =>
      `${f.triangles} triangles are too few for this outline; it needs at least ${f.least}.`,
    fix: 'Ask for more triangles.',
  },
  FORM_TOO_FINE: {
    says: (f: { triangles: number; most: number }) =>
      `${f.triangles} triangles are more than the ${f.most} that are supported.`,
    fix: 'Ask for fewer triangles.',
  },
  MESH_EMPTY: {
    says: () => 'The mesh has no triangles.',
    fix: 'Export the part as a triangle mesh, with its faces.',
  },
  MESH_BAD_INDEX: {
    says: (f: { triangle: number; vertex: number; vertices: number }) =>
      `Triangle ${f.triangle} uses vertex ${f.vertex}, but the mesh has ${f.vertices} vertices.`,
    fix: 'Export the mesh again; this file is damaged.',
  },
  MESH_TRIANGLE_FLAT: {
    says: (f: { triangle: number }) =>
      `Triangle ${f.triangle} has no area: its corners lie on one line or in one point.`,
    fix: 'Merge doubled vertices and remove triangles without area, then export again.',
  },
  MESH_NOT_MANIFOLD: {
    says: (f: { vertexA: number; vertexB: number }) =>
      `The edge between vertices ${f.vertexA} and ${f.vertexB} belongs to more than two triangles.`,
    fix: 'Film lies on one sheet: remove inner walls and doubled faces.',
  },
  MESH_PINCHED: {
    says: (f: { vertex: number }) => `At vertex ${f.vertex} two parts of the mesh touch in a single point.`,
    fix: 'Separate or join the surface there.',
  },
  MESH_IN_PIECES: {
    says: (f: { pieces: number }) => `The mesh is in ${f.pieces} separate pieces.`,
    fix: 'Film is laid on one piece at a time: keep one of them.',
  },
  MESH_CLOSED: {
    says: () => 'The mesh is closed all round: it has no edge at which film could end.',
    fix: 'Cut the mesh to the outline of the part.',
  },
  MESH_HAS_HOLES: {
    says: (f: { holes: number }) =>
      `The mesh has ${f.holes} ${f.holes === 1 ? 'hole' : 'holes'} that no feature of the part explains.`,
    fix: 'Close the holes, or describe them as holes of the form.',
  },
  MESH_NOT_A_SHEET: {
    says: (f: { handles: number }) => `The mesh is no simple sheet: it has ${f.handles} handle or tunnel.`,
    fix: 'Cut the mesh to the part that one piece of film covers.',
  },
  LAY_NOT_SETTLED: {
    says: (f: { movingMm: number; steps: number }) =>
      `The film still moves by ${round(f.movingMm, 3)} mm a step after ${f.steps} steps.`,
    fix: 'Check the form for a fold or a very sharp corner, or split the piece.',
  },
  LAY_TAKE_OUT_OF_RANGE: {
    says: (f: { take: number }) => `Film cannot take up ${round(f.take * 100)} % of compression.`,
    fix: 'Give the compression the film takes up without a finger as a ratio from 0 to 0.2; 0.006 is usual.',
  },
  PIECE_TOO_SMALL: {
    says: (f: { piece: string; piecePercent: number }) =>
      `Piece "${f.piece}" has only ${round(f.piecePercent)} % of the area this part needs.`,
    fix: 'Check that it is the piece of this part, and that its pattern is in millimetres.',
  },
  PIECE_TOO_LARGE: {
    says: (f: { piece: string; piecePercent: number }) =>
      `Piece "${f.piece}" has ${round(f.piecePercent)} % of the area this part needs.`,
    fix: 'Check that it is the piece of this part, and that its pattern is in millimetres.',
  },
  CHECKS_TOO_FEW: {
    says: (f: { found: number }) =>
      `${f.found} measured ${f.found === 1 ? 'gap is' : 'gaps are'} too few for a correction.`,
    fix: 'Measure at least two gaps, best at places far apart.',
  },
  CHECK_NORMAL_ZERO: {
    says: (f: { check: number }) => `Check ${f.check} has no direction: its normal is zero.`,
    fix: "Give the direction from the part's edge inward.",
  },
  MIX_TARGET_ABOVE_STOCK: {
    says: (f: { targetPercent: number; stockPercent: number }) =>
      `${round(f.targetPercent)} % cannot be mixed from a stock of ${round(f.stockPercent)} %.`,
    fix: 'Use a stronger stock, or a weaker target.',
  },
  MIX_NO_STOCK: {
    says: (f: { targetPercent: number }) =>
      `${round(f.targetPercent)} % alcohol needs an alcohol stock, and none is given.`,
    fix: 'Say how strong the alcohol on the shelf is, for example 70 %.',
  },
  MIX_OUT_OF_RANGE: {
    says: (f: { what: string; value: number; least: number; most: number }) =>
      `The ${f.what} is ${round(f.value, 2)}; it must lie between ${round(f.least, 2)} and ${round(f.most, 2)}.`,
    fix: 'Correct that number.',
  },
  MIX_OVERFULL: {
    says: (f: { volumeMl: number; bottleMl: number }) =>
      `The bottle holds ${round(f.bottleMl)} mL, but ${round(f.volumeMl)} mL are said to be in it.`,
    fix: 'Correct the volume or the size of the bottle.',
  },
  MIX_BEYOND_REPAIR: {
    says: (f: { what: string }) => `This batch cannot be put right: it holds ${f.what}, and the target has none.`,
    fix: 'Pour it away and mix a fresh batch.',
  },
  MIX_CANNOT_TOP_UP: {
    says: (f: { what: string; wouldBe: number; wanted: number; unit: string }) =>
      `Topped up with water alone it would still hold ${round(f.wouldBe, 2)} ${f.unit} of ${f.what}, more than the ${round(f.wanted, 2)} wanted.`,
    fix: 'Put the batch right first (some of it has to be poured off), or mix a fresh one.',
  },
  MIX_NOTHING_IN: {
    says: () => 'Nothing is said to be in the bottle.',
    fix: 'Give at least one volume above zero.',
  },
  LIGHT_OUT_OF_RANGE: {
    says: (f: { layer: number; transmission: number }) =>
      `Layer ${f.layer} is said to let through ${round(f.transmission * 100)} % of the light.`,
    fix: 'Give the transmission as a ratio above 0 and up to 1; 0.35 means 35 %.',
  },
  LIGHT_NO_LAYER: {
    says: () => 'No layer of film is given.',
    fix: 'Give at least one layer with its transmission.',
  },
  HEAT_NO_LAYER: {
    says: () => 'Nothing is said to lie under the gun.',
    fix: 'Give at least one layer, the top one first.',
  },
  HEAT_OUT_OF_RANGE: {
    says: (f: { what: string; value: number; least: number; most: number }) =>
      `The ${f.what} is ${round(f.value, 3)}; it must lie between ${round(f.least, 3)} and ${round(f.most, 3)}.`,
    fix: 'Correct that number.',
  },
  HEAT_STANDS_STILL: {
    says: (f: { speedMmS: number; leastMmS: number }) =>
      `The gun is said to move at ${round(f.speedMmS)} mm/s: that is as good as holding it still.`,
    fix: 'Give at least 50 mm/s: a gun that stands still burns film.',
  },
  HEAT_TARGET_DAMAGES: {
    says: (f: { targetC: number; damageC: number }) =>
      `The target of ${round(f.targetC)} °C is not below ${round(f.damageC)} °C, where this film is damaged.`,
    fix: 'Choose a lower target, or correct the temperature of damage.',
  },
  HEAT_READING_ODD: {
    says: (f: { readingC: number; roomC: number }) =>
      `The reading of ${round(f.readingC)} °C is hardly above the room's ${round(f.roomC)} °C: it says nothing about the gun.`,
    fix: 'Warm the scrap first, aim at the middle of the stroke, and read at once.',
  },
  WAIT_OUT_OF_RANGE: {
    says: (f: { what: string; value: number; least: number; most: number }) =>
      `The ${f.what} is ${round(f.value, 2)}; it must lie between ${round(f.least, 2)} and ${round(f.most, 2)}.`,
    fix: 'Correct that number.',
  },
  WAIT_NO_FORECAST: {
    says: () => 'There is no forecast for the hours after the work.',
    fix: 'Ask for a forecast, or type the temperatures that are expected outside.',
  },
  PLAN_SCHOOL_UNFIT: {
    says: (f: { school: string; why: string }) => `The school "${f.school}" does not suit this part: ${f.why}.`,
    fix: 'Choose another liquid school for this part.',
  },
  SEQUENCE_CIRCLE: {
    says: (f: { first: string; second: string }) =>
      `The order rules of this kit go round in a circle: ${f.first} has to wait for ${f.second}, and the other way round.`,
    fix: 'Take one of the two rules out of the kit.',
  },
  WORKER_LOST: {
    says: (f: { work: string }) => `The computer stopped working on the ${f.work}.`,
    fix: 'Ask again; if it happens twice, use fewer triangles.',
  },
  WORK_STOPPED: {
    says: (f: { work: string }) => `The ${f.work} was stopped.`,
    fix: 'Ask again when you want it.',
  },
} as const

type Catalogue = typeof catalogue
export type FailureCode = keyof Catalogue
export type Facts<C extends FailureCode> =
  Parameters<Catalogue[C]['says']> extends [infer F] ? F : Record<string, never>

export interface Failure<C extends FailureCode> {
  readonly code: C
  readonly facts: Facts<C>
  /** What is wrong, with its numbers. */
  readonly sentence: string
  /** What to do about it. */
  readonly fix: string
}

export type AnyFailure = Failure<FailureCode>

/** The failure of that code; `facts` are the numbers in its sentence. */
export function failure<C extends FailureCode>(code: C, facts: Facts<C>): AnyFailure {
  const entry = catalogue[code]
  const says = entry.says as (facts: Facts<C>) => string
  return { code, facts: facts as Facts<FailureCode>, sentence: says(facts), fix: entry.fix }
}

/** Sentence and fix in one line, for a terminal or a log. */
export const inOneLine = (f: { sentence: string; fix: string }) => `${f.sentence} ${f.fix}`
