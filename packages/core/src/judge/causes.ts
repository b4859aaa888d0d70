import type { SchoolName } from '../lay/index.ts'
import { say, type Sentence } from '../say/index.ts'
import { type CauseId, causeIds } from './causeIds.ts'
import type { JudgedFilm } from './evidence.ts'
import type { FaultKind } from './faults.ts'

/** How often a cause is met behind a fault, as the trade says it. */
export type HowOften = 'often' | 'sometimes' | 'rarely'

interface Cause {
  readonly says: Sentence
  readonly gives: Partial<Readonly<Record<FaultKind, HowOften>>>
  /** It cannot be with film laid otherwise, or of another kind. */
  readonly only?: 'wet' | 'lens tint'
  /** Likelier with film laid so, or begun so. */
  readonly fits?: {
    readonly laid?: 'wet' | 'dry'
    readonly begin?: SchoolName
  }
  /** What to mind the next time. */
  readonly nextTime: Sentence
}

/** Why film does not lie as it should: every cause with the faults that it gives. */
const causeTable = {
  'too much film': {
    says: say`more film than the form takes there`,
    gives: { fingers: 'often', crease: 'often', 'lifting edge': 'often', 'lifting after the cut': 'sometimes' },
    fits: { begin: 'centre out' },
    nextTime: say`Draw the excess out along the edge before the film is laid there.`,
  },
  'pulled too little': {
    says: say`not pulled far enough`,
    gives: { fingers: 'often', bridging: 'sometimes', 'lifting edge': 'sometimes', 'gap uneven': 'sometimes' },
    nextTime: say`Pull a little past the mark, let go fast, then tack.`,
  },
  'laid under tension': {
    says: say`laid while it was under tension`,
    gives: {
      'glue line': 'often',
      'lifting edge': 'often',
      'lifting after the cut': 'often',
      bridging: 'sometimes',
      'chrome showing': 'sometimes',
      'colour seam showing': 'sometimes',
    },
    nextTime: say`Lift further back, let it relax, and lay it by hand first.`,
  },
  'pulled out of shape': {
    says: say`stretched further than its print bears`,
    gives: { 'pattern warped': 'often' },
    nextTime: say`Hardly any stretch in printed film: turn the piece instead of pulling it.`,
  },
  'hollow left for later': {
    says: say`the flats were fixed before the hollow`,
    gives: { bridging: 'often', 'air bubble': 'rarely', silvering: 'sometimes' },
    fits: { begin: 'corners first' },
    nextTime: say`Work the deepest place first.`,
  },
  'folded by the squeegee': {
    says: say`the squeegee ran into a wrinkle`,
    gives: { crease: 'often', fingers: 'rarely' },
    nextTime: say`Work away from wrinkles, the blade turned about half a right angle.`,
  },
  'wait cut short': {
    says: say`worked on before it had grabbed`,
    gives: {
      'lifting edge': 'often',
      'lifting after the cut': 'often',
      'jagged cut': 'sometimes',
      'gap uneven': 'rarely',
      'off its mark': 'rarely',
      'chrome showing': 'rarely',
    },
    only: 'wet',
    nextTime: say`Let the wait run out; do something else meanwhile.`,
  },
  'film dried': {
    says: say`the film dried before it was laid`,
    gives: { silvering: 'often', 'grabbed too early': 'often', 'stop line': 'sometimes', 'air bubble': 'sometimes' },
    only: 'wet',
    nextTime: say`Wet it again before it is lifted.`,
  },
  'water left': {
    says: say`water was left beneath`,
    gives: { 'water bubble': 'often', haze: 'often', 'lifting edge': 'sometimes', silvering: 'rarely' },
    only: 'wet',
    nextTime: say`Steep blade, strokes that overlap by half, one more pass.`,
  },
  'air shut in': {
    says: say`air was shut in`,
    gives: { 'air bubble': 'often', silvering: 'sometimes', bridging: 'rarely' },
    fits: { laid: 'dry' },
    nextTime: say`Lay from one side to the other, so that air has a way out.`,
  },
  'too much soap': {
    says: say`too much soap in the slip`,
    gives: { 'will not grab': 'often', haze: 'sometimes', 'lifting edge': 'sometimes', 'off its mark': 'rarely' },
    only: 'wet',
    nextTime: say`Mix the slip to its strength, and flush the edges with tack.`,
  },
  'too little soap': {
    says: say`too little soap in the slip`,
    gives: { 'grabbed too early': 'often', 'stop line': 'sometimes', 'off its mark': 'rarely' },
    only: 'wet',
    nextTime: say`Mix the slip to its strength.`,
  },
  'tack too weak': {
    says: say`the tack does not wash the soap out`,
    gives: { 'will not grab': 'often', 'lifting edge': 'sometimes' },
    only: 'wet',
    nextTime: say`Mix the tack to its strength, and flush twice.`,
  },
  'cold or damp': {
    says: say`cold or damp air`,
    gives: { 'will not grab': 'often', 'lifting edge': 'sometimes', haze: 'sometimes' },
    nextTime: say`Warm the part, move the air, give it longer.`,
  },
  'too hot': {
    says: say`too much heat`,
    gives: {
      'overheated wrinkle': 'often',
      'burnt film': 'often',
      'lens crazed': 'sometimes',
      'pattern warped': 'rarely',
      'grabbed too early': 'rarely',
    },
    nextTime: say`Keep the gun moving, a hand’s breadth away, and read the surface.`,
  },
  'too little heat': {
    says: say`too little heat where it was shaped`,
    gives: { 'lifting edge': 'often', bridging: 'sometimes', 'lifting after the cut': 'sometimes', fingers: 'rarely' },
    nextTime: say`Give the corner with most film the most time, then let it cool.`,
  },
  'alcohol on the lens': {
    says: say`alcohol or solvent on a lens under tension`,
    gives: { 'lens crazed': 'often' },
    only: 'lens tint',
    nextTime: say`Water only on such a lens.`,
  },
  'not clean': {
    says: say`the part was not clean there`,
    gives: {
      'dirt or hair': 'often',
      'dust under film': 'often',
      'lifting edge': 'sometimes',
      'will not grab': 'sometimes',
    },
    nextTime: say`Clean again just before, out of the gaps outwards.`,
  },
  'dust fell in': {
    says: say`dust fell on the open glue`,
    gives: { 'dirt or hair': 'often', 'dust under film': 'often' },
    nextTime: say`Wet the floor, peel low and flat, spray the glue at once.`,
  },
  'held by the glue': {
    says: say`the glue was touched`,
    gives: { fingerprint: 'often', 'stuck to itself': 'sometimes' },
    nextTime: say`Wet hands, and hold it by the edge.`,
  },
  'folded over': {
    says: say`a corner fell back on the glue`,
    gives: { 'stuck to itself': 'often', 'torn piece': 'sometimes', crease: 'rarely' },
    nextTime: say`Wet glue does not stick to glue: spray while the liner comes off. Two people for a large piece.`,
  },
  'stroke broken off': {
    says: say`the stroke was broken off`,
    gives: { 'stop line': 'often', 'glue line': 'rarely' },
    nextTime: say`Draw each stroke through to the edge.`,
  },
  'started off': {
    says: say`it was started off its place`,
    gives: {
      'gap uneven': 'often',
      'off its mark': 'often',
      'chrome showing': 'often',
      'colour seam showing': 'often',
    },
    nextTime: say`Measure at the far end before anything is fixed.`,
  },
  'piece untrue': {
    says: say`the piece is not cut for this part`,
    gives: {
      'gap uneven': 'sometimes',
      'off its mark': 'sometimes',
      fingers: 'rarely',
      'chrome showing': 'rarely',
      'colour seam showing': 'sometimes',
    },
    nextTime: say`Note the offset at the piece, and have the pattern put right.`,
  },
  'body untrue': {
    says: say`the part itself is out of true`,
    gives: { 'gap uneven': 'sometimes', 'off its mark': 'rarely', bridging: 'rarely' },
    nextTime: say`Share the difference out between both ends.`,
  },
  'blunt blade': {
    says: say`a blunt blade`,
    gives: { 'jagged cut': 'often', 'uncut bridge': 'often', 'torn piece': 'sometimes' },
    nextTime: say`A fresh segment for each cut that shows.`,
  },
  'cut too deep': {
    says: say`cut too deep`,
    gives: { 'knife mark': 'often' },
    nextTime: say`The weight of the knife is enough.`,
  },
  'cut too lightly': {
    says: say`cut too lightly`,
    gives: { 'uncut bridge': 'often', 'jagged cut': 'sometimes', 'torn piece': 'sometimes' },
    nextTime: say`One stroke without stopping; cut again rather than tear.`,
  },
  'cut while warm': {
    says: say`cut while it was warm`,
    gives: { 'jagged cut': 'sometimes', 'lifting after the cut': 'sometimes', 'colour seam showing': 'rarely' },
    nextTime: say`Let it cool before the cut: warm film draws back.`,
  },
  'pulled at once': {
    says: say`lifted too roughly`,
    gives: { 'torn piece': 'often' },
    fits: { laid: 'dry' },
    nextTime: say`Lift thin film flat and slowly, warm it first.`,
  },
  'coating beneath': {
    says: say`a coating beneath, which film does not stick to`,
    gives: { 'will not grab': 'sometimes', 'lifting edge': 'rarely' },
    nextTime: say`Test with water at the walk-round; strip it first.`,
  },
  'old glue beneath': {
    says: say`old glue or old film beneath`,
    gives: { 'air bubble': 'rarely', 'dirt or hair': 'rarely', 'grabbed too early': 'rarely' },
    nextTime: say`Take off all of the old glue.`,
  },
  'was there before': {
    says: say`it was there before the film`,
    gives: {
      'air bubble': 'rarely',
      'dirt or hair': 'rarely',
      silvering: 'rarely',
      haze: 'rarely',
      'knife mark': 'rarely',
      'lens crazed': 'sometimes',
      'dust under film': 'rarely',
    },
    nextTime: say`Show it to the customer at the walk-round.`,
  },
} as const satisfies Record<CauseId, Cause>

export const causeOf = (id: CauseId): Cause => causeTable[id]
/** Causes that can be behind a fault of such a film, each with how often it is. */
export const causesOf = (
  fault: FaultKind,
  film?: Pick<JudgedFilm, 'laid' | 'type'>,
): { readonly id: CauseId; readonly often: HowOften }[] =>
  causeIds.flatMap((id) => {
    const { gives, only } = causeOf(id)
    const often = gives[fault]
    const cannotBe = only !== undefined && film !== undefined && only !== film.laid && only !== film.type
    return often === undefined || cannotBe ? [] : [{ id, often }]
  })
