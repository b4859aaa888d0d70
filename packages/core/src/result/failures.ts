import {
  area,
  count,
  counted,
  length,
  name,
  paragraph,
  percent,
  type Said,
  say,
  type Sentence,
  speed,
  temperature,
  volume,
} from '../say/index.ts'

/**
 * Every failure that an installer can meet, in one table: the facts it carries, the sentence it says, and what to do.
 * Codes are never renamed and never used again for something else.
 */
const catalogue = {
  OUTLINE_OPEN: {
    says: (f: { what: string; gapMm: number }) =>
      say`The outline of ${name(f.what)} does not close: its end is ${length(f.gapMm)} from its start.`,
    fix: say`Let the last segment end where the outline starts.`,
  },
  OUTLINE_CROSSES: {
    says: (f: { what: string; xMm: number; yMm: number }) =>
      say`The outline of ${name(f.what)} crosses itself near x ${length(f.xMm)}, y ${length(f.yMm)}.`,
    fix: say`Correct the points there so that the outline runs round once.`,
  },
  OUTLINE_TOO_SMALL: {
    says: (f: { what: string; areaMm2: number }) =>
      say`The outline of ${name(f.what)} encloses only ${area(f.areaMm2)}.`,
    fix: say`Check the unit of what was typed: a part is larger than that.`,
  },
  OUTLINE_FOLDED: {
    says: (f: { what: string; segment: number; radiusMm: number; chordMm: number }) =>
      say`Segment ${count(f.segment)} of ${name(f.what)} is an arc of radius ${length(f.radiusMm)} over a chord of ${length(f.chordMm)}; no such arc exists.`,
    fix: say`The radius must be at least half the chord.`,
  },
  RIM_TOO_SHORT: {
    says: (f: { points: number; least: number }) =>
      say`${counted(f.points, '# target lies', '# targets lie')} on the rim: that is no outline yet.`,
    fix: say`Name the targets at the edge one after the other, all the way round; at least three.`,
  },
  POINTS_IN_LINE: {
    says: (_: Record<string, never>) => say`All targets lie in one line.`,
    fix: say`Stick targets all over the part, not along one edge alone.`,
  },
  SPOT_CONTRADICTS: {
    says: (f: { spot: string; xMm: number; yMm: number; offMm: number }) =>
      say`The spot "${name(f.spot)}" (x ${length(f.xMm)}, y ${length(f.yMm)}) lies ${length(Math.abs(f.offMm))} off what those around it say.`,
    fix: say`Draw the body line or the edge that runs there; or leave that spot out.`,
  },
  BOW_CONTRADICTS: {
    says: (f: { first: string; second: string; measuredMm: number; expectedMm: number }) =>
      say`Bow reading "${name(f.first)}" says ${length(f.measuredMm)} where "${name(f.second)}" leaves only ${length(f.expectedMm)} possible: they contradict each other.`,
    fix: say`Measure both again with the straightedge flat on the part, and correct the one that was wrong.`,
  },
  BOW_OUTSIDE: {
    says: (f: { reading: string; xMm: number; yMm: number }) =>
      say`Bow reading "${name(f.reading)}" touches the part at x ${length(f.xMm)}, y ${length(f.yMm)}, which is outside its outline.`,
    fix: say`Give both contact points on the part, measured from where the outline is measured.`,
  },
  BOW_CHORD_SHORT: {
    says: (f: { reading: string; chordMm: number; planMm: number }) =>
      say`Bow reading "${name(f.reading)}" has a chord of ${length(f.chordMm)}, but its two contact points lie ${length(f.planMm)} apart.`,
    fix: say`A chord cannot be shorter than the distance of its ends seen from above: correct one of them.`,
  },
  SCAN_SPOTS_IN_LINE: {
    says: () => say`The three places on the scan lie on one line.`,
    fix: say`Choose a place to the right and one above, well apart.`,
  },
  SCAN_TOO_SMALL: {
    says: (f: { widthMm: number; heightMm: number }) =>
      say`Seen straight on the scan is only ${length(f.widthMm)} x ${length(f.heightMm)}.`,
    fix: say`Check its unit, and the three places by which it was turned.`,
  },
  SCAN_ROUGH: {
    says: (f: { stepMm: number; typicalMm: number; mostMm: number }) =>
      say`Heights every ${length(f.stepMm)} miss the scan by ${length(f.typicalMm)} on the average, more than the ${length(f.mostMm)} that a form may be off.`,
    fix: say`Take heights more closely, scan less of it, or choose the three places so that its steep walls are seen less steeply.`,
  },
  HALF_NOT_ON_MIDDLE: {
    says: (f: { offMm: number }) =>
      say`The half outline does not begin and end on the middle line: it is ${length(f.offMm)} off.`,
    fix: say`Put its first and last point at x = 0, with a straight piece between them.`,
  },
  CHANNEL_TOO_NARROW: {
    says: (f: { channel: string; widthMm: number; leastMm: number }) =>
      say`The channel "${name(f.channel)}" is ${length(f.widthMm)} wide; with its depth and walls it needs at least ${length(f.leastMm)}.`,
    fix: say`Measure width, depth and wall angle again: one of them is off.`,
  },
  FORM_TOO_COARSE: {
    says: (f: { triangles: number; least: number }) =>
      say`${count(f.triangles)} triangles are too few for this outline; it needs at least ${count(f.least)}.`,
    fix: say`Ask for more triangles.`,
  },
  FORM_TOO_FINE: {
    says: (f: { triangles: number; most: number }) =>
      say`${count(f.triangles)} triangles are more than the ${count(f.most)} that are supported.`,
    fix: say`Ask for fewer triangles.`,
  },
  MESH_EMPTY: {
    says: () => say`The mesh has no triangles.`,
    fix: say`Export the part as a triangle mesh, with its faces.`,
  },
  MESH_BAD_INDEX: {
    says: (f: { triangle: number; vertex: number; vertices: number }) =>
      say`Triangle ${count(f.triangle)} uses vertex ${count(f.vertex)}, but the mesh has ${count(f.vertices)} vertices.`,
    fix: say`Export the mesh again; this file is damaged.`,
  },
  MESH_TRIANGLE_FLAT: {
    says: (f: { triangle: number }) =>
      say`Triangle ${count(f.triangle)} has no area: its corners lie on one line or in one point.`,
    fix: say`Merge doubled vertices and remove triangles without area, then export again.`,
  },
  MESH_NOT_MANIFOLD: {
    says: (f: { vertexA: number; vertexB: number }) =>
      say`The edge between vertices ${count(f.vertexA)} and ${count(f.vertexB)} belongs to more than two triangles.`,
    fix: say`Film lies on one sheet: remove inner walls and doubled faces.`,
  },
  MESH_TURNED: {
    says: (f: { triangle: number }) =>
      say`Triangle ${count(f.triangle)} is turned over: its neighbour faces the other way.`,
    fix: say`Turn all faces to one side in the program that made the mesh, then export again.`,
  },
  MESH_PINCHED: {
    says: (f: { vertex: number }) => say`At vertex ${count(f.vertex)} two parts of the mesh touch in a single point.`,
    fix: say`Separate or join the surface there.`,
  },
  MESH_IN_PIECES: {
    says: (f: { pieces: number }) => say`The mesh is in ${count(f.pieces)} separate pieces.`,
    fix: say`Film is laid on one piece at a time: merge doubled corners where they belong together, or keep one of them.`,
  },
  MESH_CLOSED: {
    says: () => say`The mesh is closed all round: it has no edge at which film could end.`,
    fix: say`Cut the mesh to the outline of the part.`,
  },
  MESH_HAS_HOLES: {
    says: (f: { holes: number }) =>
      say`The mesh has ${counted(f.holes, '# hole', '# holes')} that no feature of the part explains.`,
    fix: say`Close the holes, describe them as holes of the form, or keep them (on the command line: --holes keep).`,
  },
  MESH_NOT_A_SHEET: {
    says: (f: { handles: number }) => say`The mesh is no simple sheet: it has ${count(f.handles)} handle or tunnel.`,
    fix: say`Cut the mesh to the part that one piece of film covers.`,
  },
  LAY_NOT_SETTLED: {
    says: (f: { movingMm: number; steps: number }) =>
      say`The film still moves by ${length(f.movingMm, 3)} a step after ${count(f.steps)} steps.`,
    fix: say`Check the form for a fold or a very sharp corner, or split the piece.`,
  },
  LAY_TURNED_OVER: {
    says: (f: { triangles: number }) =>
      say`Film would lie folded over itself on this form: ${counted(f.triangles, '# triangle of its mesh lies', '# triangles of its mesh lie')} upside down in the flat piece.`,
    fix: say`Look for an overhang, a fold or a wall that stands too steep in the form, or split the piece there.`,
  },
  LAY_TAKE_OUT_OF_RANGE: {
    says: (f: { take: number }) => say`Film cannot take up ${percent(100 * f.take, 1)} of compression.`,
    fix: say`Give the compression the film takes up without a finger as a ratio from 0 to 0.2; 0.006 is usual.`,
  },
  PIECE_TOO_SMALL: {
    says: (f: { piece: string; piecePercent: number }) =>
      say`Piece "${name(f.piece)}" has only ${percent(f.piecePercent, 1)} of the area this part needs.`,
    fix: say`Check that it is the piece of this part, and that its pattern is in millimetres.`,
  },
  PIECE_TOO_LARGE: {
    says: (f: { piece: string; piecePercent: number }) =>
      say`Piece "${name(f.piece)}" has ${percent(f.piecePercent, 1)} of the area this part needs.`,
    fix: say`Check that it is the piece of this part, and that its pattern is in millimetres.`,
  },
  CHECKS_TOO_FEW: {
    says: (f: { found: number }) =>
      say`${counted(f.found, '# measured gap is', '# measured gaps are')} too few for a correction.`,
    fix: say`Measure at least two gaps, best at places far apart.`,
  },
  CHECK_NORMAL_ZERO: {
    says: (f: { check: number }) => say`Check ${count(f.check)} has no direction: its normal is zero.`,
    fix: say`Give the direction from the part's edge inward.`,
  },
  MIX_TARGET_ABOVE_STOCK: {
    says: (f: { targetPercent: number; stockPercent: number }) =>
      say`${percent(f.targetPercent, 1)} cannot be mixed from a stock of ${percent(f.stockPercent, 1)}.`,
    fix: say`Use a stronger stock, or a weaker target.`,
  },
  MIX_NO_STOCK: {
    says: (f: { targetPercent: number }) =>
      say`${percent(f.targetPercent, 1)} alcohol needs an alcohol stock, and none is given.`,
    fix: say`Say how strong the alcohol on the shelf is, for example 70 %.`,
  },
  MIX_OUT_OF_RANGE: {
    says: (f: { what: Sentence; value: Said; least: Said; most: Said }) =>
      say`The ${f.what} is ${f.value}; it must lie between ${f.least} and ${f.most}.`,
    fix: say`Correct that number.`,
  },
  MIX_OVERFULL: {
    says: (f: { volumeMl: number; bottleMl: number }) =>
      say`The bottle holds ${volume(f.bottleMl)}, but ${volume(f.volumeMl)} are said to be in it.`,
    fix: say`Correct the volume or the size of the bottle.`,
  },
  MIX_BEYOND_REPAIR: {
    says: (f: { what: Sentence }) => say`This batch cannot be put right: it holds ${f.what}, and the target has none.`,
    fix: say`Pour it away and mix a fresh batch.`,
  },
  MIX_NEVER_REACHED: {
    says: (f: { stockPercent: number; targetPercent: number }) =>
      say`However much of the ${percent(f.stockPercent, 2)} stock goes in, this batch stays below ${percent(f.targetPercent, 2)}.`,
    fix: say`Pour it away and mix a fresh batch, or take a stronger stock.`,
  },
  MIX_NO_ROOM_FOR_SOAP: {
    says: (f: { mostPercent: number }) =>
      say`The soap takes room: with it this stock makes at most ${percent(f.mostPercent, 2)}.`,
    fix: say`Take that strength, less soap, or a stronger stock.`,
  },
  MIX_CANNOT_TOP_UP: {
    says: (f: { what: Sentence; wouldBe: Said; wanted: Said }) =>
      say`Topped up with water alone it would still hold ${f.wouldBe} of ${f.what}, more than the ${f.wanted} wanted.`,
    fix: say`Put the batch right first (some of it has to be poured off), or mix a fresh one.`,
  },
  MIX_NOTHING_IN: {
    says: () => say`Nothing is said to be in the bottle.`,
    fix: say`Give at least one volume above zero.`,
  },
  LIGHT_OUT_OF_RANGE: {
    says: (f: { layer: number; transmission: number }) =>
      say`Layer ${count(f.layer)} is said to let through ${percent(100 * f.transmission, 1)} of the light.`,
    fix: say`Give the transmission as a ratio above 0 and up to 1; 0.35 means 35 %.`,
  },
  LIGHT_NO_LAYER: {
    says: () => say`No layer of film is given.`,
    fix: say`Give at least one layer with its transmission.`,
  },
  HEAT_NO_LAYER: {
    says: () => say`Nothing is said to lie under the gun.`,
    fix: say`Give at least one layer, the top one first.`,
  },
  HEAT_OUT_OF_RANGE: {
    says: (f: { what: Sentence; value: Said; least: Said; most: Said }) =>
      say`The ${f.what} is ${f.value}; it must lie between ${f.least} and ${f.most}.`,
    fix: say`Correct that number.`,
  },
  HEAT_STANDS_STILL: {
    says: (f: { speedMmS: number; leastMmS: number }) =>
      say`The gun is said to move at ${speed(f.speedMmS)}: that is as good as holding it still.`,
    fix: say`Give at least ${speed(50)}: a gun that stands still burns film.`,
  },
  HEAT_TARGET_DAMAGES: {
    says: (f: { targetC: number; damageC: number }) =>
      say`The target of ${temperature(f.targetC)} is not below ${temperature(f.damageC)}, where this film is damaged.`,
    fix: say`Choose a lower target, or correct the temperature of damage.`,
  },
  GUN_GONE: {
    says: (_: Record<string, never>) => say`That gun was taken off the list meanwhile. Nothing was changed.`,
    fix: say`Look at the guns again on the Shop screen; add it as another gun if it is still in use.`,
  },
  SETTING_GONE: {
    says: (f: { gun: string; setting: string }) =>
      say`Setting "${name(f.setting)}" of ${name(f.gun)} is called otherwise by now, or was taken away. Nothing was changed.`,
    fix: say`Look at its settings as they are now, and change it there.`,
  },
  HEAT_READING_ODD: {
    says: (f: { readingC: number; roomC: number }) =>
      say`The reading of ${temperature(f.readingC)} is hardly above the room's ${temperature(f.roomC)}: it says nothing about the gun.`,
    fix: say`Warm the scrap first, aim at the middle of the stroke, and read at once.`,
  },
  WAIT_OUT_OF_RANGE: {
    says: (f: { what: Sentence; value: Said; least: Said; most: Said }) =>
      say`The ${f.what} is ${f.value}; it must lie between ${f.least} and ${f.most}.`,
    fix: say`Correct that number.`,
  },
  WAIT_NO_FORECAST: {
    says: () => say`There is no forecast for the hours after the work.`,
    fix: say`Ask for a forecast, or type the temperatures that are expected outside.`,
  },
  PLAN_SCHOOL_UNFIT: {
    says: (f: { school: Sentence; why: Sentence }) => say`The school "${f.school}" does not suit this part: ${f.why}.`,
    fix: say`Choose another liquid school for this part.`,
  },
  SEQUENCE_CIRCLE: {
    says: (f: { first: string; second: string }) =>
      say`The order rules of this kit go round in a circle: ${name(f.first)} has to wait for ${name(f.second)}, and the other way round.`,
    fix: say`Take one of the two rules out of the kit.`,
  },
  EVIDENCE_CONTRADICTS: {
    says: (f: { what: Sentence }) => say`What is known of this fault contradicts itself: ${f.what}.`,
    fix: say`Put right what was seen or answered, or leave it out.`,
  },
  HAND_OVER_NOTHING: {
    says: () => say`No part of this job is finished yet: there is nothing to hand over.`,
    fix: say`Finish a part first, or leave the parts out that are not covered.`,
  },
  WORKER_LOST: {
    says: (f: { work: Sentence }) => say`The computer stopped working on the ${f.work}.`,
    fix: say`Ask again; if it happens twice, use fewer triangles.`,
  },
  WORK_STOPPED: {
    says: (f: { work: Sentence }) => say`The ${f.work} was stopped.`,
    fix: say`Ask again when you want it.`,
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
  readonly sentence: Sentence
  /** What to do about it. */
  readonly fix: Sentence
}

export type AnyFailure = Failure<FailureCode>

/** The failure of that code; `facts` are the numbers in its sentence. */
export function failure<C extends FailureCode>(code: C, facts: Facts<C>): AnyFailure {
  const entry = catalogue[code]
  const says = entry.says as (facts: Facts<C>) => Sentence
  return { code, facts: facts as Facts<FailureCode>, sentence: says(facts), fix: entry.fix }
}

/** What is wrong and what to do about it, one after the other. */
export const wholeFailure = (f: { readonly sentence: Sentence; readonly fix: Sentence }): Sentence =>
  paragraph(f.sentence, f.fix)

/** The failure of a value that lies outside its range; each shown as `as` says. */
export const outOfRange = (
  code: 'HEAT_OUT_OF_RANGE' | 'MIX_OUT_OF_RANGE' | 'WAIT_OUT_OF_RANGE',
  what: Sentence,
  as: (value: number) => Said,
  [value, least, most]: readonly [value: number, least: number, most: number],
): AnyFailure => failure(code, { what, value: as(value), least: as(least), most: as(most) })
