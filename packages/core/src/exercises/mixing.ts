import {
  type Ingredient,
  ingredientWords,
  isAlike,
  mixBatch,
  repairBatch,
  type Stock,
  type Strength,
  strengthDistance,
  strengthWords,
} from '../mix/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { say, type Sentence, volume } from '../say/index.ts'
import { between, type ExerciseLevel, type Verdict } from './exercise.ts'

/** What is in a bottle. */
export interface InBottle {
  readonly volumeMl: number
  readonly strength: Strength
}

export interface MixTask {
  readonly level: ExerciseLevel
  readonly bottleMl: number
  readonly stock: Stock & { readonly alcoholPercent: number }
  /** What stands in it at the beginning; nothing where it is fresh. */
  readonly has: InBottle
  readonly wants: Strength
  /** At least so much of it is needed. */
  readonly wantsMl: number
}

/** One thing that a hand does with the bottle. */
export type MixAct =
  | { readonly kind: 'pour'; readonly what: Ingredient; readonly ml: number }
  | { readonly kind: 'pour off'; readonly ml: number }

const empty: InBottle = { volumeMl: 0, strength: { alcoholPercent: 0, soapMlPerL: 0 } }
/** As a syringe measures: nearer than this is as it should be. */
const measuredTo = 0.04
/** Beyond this it is another liquid. */
const another = 0.45

const pick = <T>(chance: () => number, of: readonly T[]): T => of[Math.floor(chance() * of.length)] as T

export function makeMix(seed: number, level: ExerciseLevel): MixTask {
  const chance = seededRandom(seed)
  for (;;) {
    const bottleMl = pick(chance, [500, 750, 1000])
    const stock = { alcoholPercent: pick(chance, [70, 80, 99]) }
    const wants =
      level === 1
        ? { alcoholPercent: 0, soapMlPerL: pick(chance, [2, 3, 5, 8]) }
        : {
            alcoholPercent: pick(chance, [8, 10, 12, 15, 20, 25]),
            soapMlPerL: level === 2 ? 0 : pick(chance, [0, 0, 2]),
          }
    const fresh = { level, bottleMl, stock, wants, has: empty, wantsMl: Math.round((0.8 * bottleMl) / 50) * 50 }
    if (level < 3) return fresh
    const task = wrongBatch(chance, fresh)
    if (task !== null) return task
  }
}

/** A batch that somebody got wrong and that can be put right in its bottle; null where this one cannot, or is not wrong. */
function wrongBatch(chance: () => number, fresh: MixTask): MixTask | null {
  const off = pick(chance, [0.4, 0.6, 1.5, 2])
  const strength = {
    alcoholPercent: fresh.wants.alcoholPercent * off,
    soapMlPerL: fresh.wants.soapMlPerL * pick(chance, [1, off]),
  }
  const volumeMl = Math.round((fresh.bottleMl * (0.6 + 0.35 * chance())) / 10) * 10
  const cure = repairBatch({
    have: { volumeMl, ...strength },
    target: fresh.wants,
    stock: fresh.stock,
    bottleMl: fresh.bottleMl,
  })
  if (!cure.ok || isAlike(strength, fresh.wants)) return null
  return {
    ...fresh,
    has: { volumeMl, strength },
    wantsMl: Math.floor(Math.min(cure.value.finalMl, fresh.wantsMl) / 10) * 10,
  }
}

/** What is in the bottle after these acts; an act that cannot be done gives a sentence why. */
export function bottleAfter(task: MixTask, acts: readonly MixAct[]): { bottle: InBottle; problem: Sentence | null } {
  let bottle = task.has
  for (const act of acts) {
    if (act.kind === 'pour off') {
      if (act.ml > bottle.volumeMl + 1e-9)
        return { bottle, problem: say`There are only ${volume(bottle.volumeMl)} in the bottle.` }
      bottle = { ...bottle, volumeMl: bottle.volumeMl - act.ml }
      continue
    }
    if (bottle.volumeMl + act.ml > task.bottleMl + 1e-9)
      return {
        bottle,
        problem: say`It runs over: only ${volume(task.bottleMl - bottle.volumeMl)} still fit. Pour some off first.`,
      }
    bottle = poured(bottle, act, task.stock)
  }
  return { bottle, problem: null }
}

function poured(
  { volumeMl, strength }: InBottle,
  { what, ml }: MixAct & { kind: 'pour' },
  stock: MixTask['stock'],
): InBottle {
  const sum = volumeMl + ml
  if (sum === 0) return empty
  const alcohol = what === 'alcohol stock' ? (ml * stock.alcoholPercent) / 100 : 0
  return {
    volumeMl: sum,
    strength: {
      alcoholPercent: (100 * ((volumeMl * strength.alcoholPercent) / 100 + alcohol)) / sum,
      soapMlPerL: (1000 * ((volumeMl * strength.soapMlPerL) / 1000 + (what === 'soap' ? ml : 0))) / sum,
    },
  }
}

/** The acts that come out best: what `mixBatch` or `repairBatch` says. */
export function bestMix(task: MixTask): MixAct[] {
  const { stock, wants: target, bottleMl, has } = task
  const pours = (add: readonly { readonly what: Ingredient; readonly ml: number }[]): MixAct[] =>
    add.map(({ what, ml }) => ({ kind: 'pour', what, ml }))
  if (has.volumeMl === 0) {
    const batch = mixBatch({ target, stock, batchMl: task.wantsMl })
    return batch.ok ? pours(batch.value.add) : []
  }
  const cure = repairBatch({ have: { volumeMl: has.volumeMl, ...has.strength }, target, stock, bottleMl })
  if (!cure.ok) return []
  const { pourOffMl, add } = cure.value
  return [...(pourOffMl > 0 ? [{ kind: 'pour off', ml: pourOffMl } as const] : []), ...pours(add)]
}

const poursOff = (acts: readonly MixAct[]) => acts.reduce((sum, act) => sum + (act.kind === 'pour off' ? act.ml : 0), 0)

/** By what is really in the bottle: its strength first, then whether it is enough, then what was poured away for nothing. */
export function markMix(task: MixTask, acts: readonly MixAct[]): Verdict {
  const { bottle } = bottleAfter(task, acts)
  const off = strengthDistance(bottle.strength, task.wants)
  const right = bottle.volumeMl === 0 ? 0 : between(off, another, measuredTo)
  const enough = Math.min(1, bottle.volumeMl / task.wantsMl)
  const best = bestMix(task)
  const wasted = Math.max(0, poursOff(acts) - poursOff(best) - 0.05 * task.bottleMl) / task.bottleMl
  const share = Math.max(0, right * (enough > 0.97 ? 1 : enough) - 0.5 * wasted)
  const words = (strength: Strength) => strengthWords(strength)
  return {
    share,
    says: [
      bottle.volumeMl === 0
        ? say`The bottle is empty.`
        : say`It holds ${volume(bottle.volumeMl)} with ${words(bottle.strength)}; wished were ${words(task.wants)}.`,
      ...(enough > 0.97 ? [] : [say`That is too little: ${volume(task.wantsMl)} are needed.`]),
      ...(wasted > 0
        ? [say`More was poured away than there was need to: ${volume(poursOff(best))} would have done.`]
        : []),
      ...(share > 0.95 ? [] : bestWords(best)),
    ],
  }
}

const bestWords = (best: readonly MixAct[]): Sentence[] =>
  best.map((act) =>
    act.kind === 'pour off'
      ? say`Right was: pour ${volume(act.ml)} away.`
      : say`Right was: ${volume(act.ml)} of ${ingredientWords[act.what]}.`,
  )
