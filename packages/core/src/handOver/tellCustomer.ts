import type { PartMaterial } from '../form/index.ts'
import type { FilmType, WayLaid } from '../plan/index.ts'
import type { Practice } from '../practice/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import { clock, day, list, paragraph, say, type Sentence } from '../say/index.ts'
import { type Climate, type WaitKind, waitNow } from '../wait/index.ts'

/** A part that is handed over, as far as its owner has to know it. */
export interface HandedPart {
  readonly name: string
  readonly material: PartMaterial
  /** It lies flat on top of the vehicle: sun, rain and droppings stand on it. */
  readonly level: boolean
  readonly filmType: FilmType
  readonly laid: WayLaid
  /** Less light is left of the lamp beneath. */
  readonly takesLight: boolean
  /** Null where it is not fitted. */
  readonly finishedAt: Date | null
}

export const toldTopics = ['wash', 'edges', 'haze', 'bond', 'solvents', 'level', 'lamps', 'trim'] as const
export type ToldTopic = (typeof toldTopics)[number]

/** What the owner is told, by date, to the next full hour. */
export interface Told {
  readonly washFrom: Date
  readonly edgesUntil: Date
  readonly bondedAt: Date
  readonly lines: readonly { readonly about: ToldTopic; readonly says: Sentence }[]
}

const hourMs = 3_600_000
/** Nobody waits for a minute: what is promised is the next full hour. */
const nextHour = (at: Date): Date => new Date(Math.ceil(at.getTime() / hourMs) * hourMs)

const lastOf = (moments: readonly Date[]): Date => new Date(Math.max(...moments.map((m) => m.getTime())))

/**
 * What the owner has to know, by date and by surface, from when each part was finished and the waits of the trade in the air of the shop.
 * A part that is not fitted is left out. Can be refused: `HAND_OVER_NOTHING`, `WAIT_OUT_OF_RANGE`.
 */
export function tellCustomer(parts: readonly HandedPart[], climate: Climate, practice: Practice): Result<Told> {
  const fitted = parts.flatMap((part) => (part.finishedAt === null ? [] : [{ ...part, finishedAt: part.finishedAt }]))
  if (fitted.length === 0) return refused(failure('HAND_OVER_NOTHING', {}))
  const after = (kind: WaitKind, of: readonly { readonly finishedAt: Date }[]): Result<Date> => {
    const wait = waitNow({ kind, ...climate }, practice)
    return wait.ok
      ? done(nextHour(new Date(lastOf(of.map((p) => p.finishedAt)).getTime() + wait.value.minutes * 60_000)))
      : wait
  }
  const wet = fitted.filter(({ laid }) => laid === 'wet')
  const wash = after('beforeWash', fitted)
  const edges = after('edgeLook', fitted)
  const bond = after('fullBond', fitted)
  const haze = wet.length === 0 ? null : after('haze', wet)
  if (!wash.ok) return wash
  if (!edges.ok) return edges
  if (!bond.ok) return bond
  if (haze !== null && !haze.ok) return haze
  const named = (of: readonly { readonly name: string }[]) => list(of.map((p) => p.name))
  const level = fitted.filter((part) => part.level)
  const lamps = fitted.filter(({ material }) => material === 'lens plastic')
  const trim = fitted.filter(({ filmType }) => filmType === 'trim vinyl')
  const lines: Told['lines'] = [
    {
      about: 'wash',
      says: say`Not to be washed before ${day(wash.value)}, ${clock(wash.value)}; then by hand at first, and never a jet held close to an edge.`,
    },
    {
      about: 'edges',
      says: say`Run a finger along the edges until ${day(edges.value)}. Whatever stands up: do not pull at it, come back, it is pressed down in minutes.`,
    },
    ...(haze === null
      ? []
      : [
          {
            about: 'haze' as const,
            says: say`Fine haze and pin-size bubbles under ${named(wet)} leave by themselves until about ${day(haze.value)}: sooner in the sun, later in the cold. Press nothing.`,
          },
        ]),
    {
      about: 'bond',
      says: say`The film holds fully from about ${day(bond.value)}. Until then no hard frost and no car wash, if it can be helped.`,
    },
    {
      about: 'solvents',
      says: say`No solvents, no abrasive polish. Fuel, tar and droppings off soon, with water and a soft cloth.`,
    },
    ...(level.length === 0
      ? []
      : [
          {
            about: 'level' as const,
            says: say`${named(level)}: what lies flat ages faster than what stands upright. Shade it where you can, wash it more often, and look there first.`,
          },
        ]),
    ...(lamps.length === 0
      ? []
      : [
          {
            about: 'lamps' as const,
            says: paragraph(
              say`${named(lamps)}: dust off with plenty of water, never wiped dry, nothing strong on it.`,
              lamps.some(({ takesLight }) => takesLight) && say`Tinted lamps give less light: drive by what you see.`,
            ),
          },
        ]),
    ...(trim.length === 0
      ? []
      : [
          {
            about: 'trim' as const,
            says: say`${named(trim)}: thin film on narrow edges. Wipe along it, not across its ends.`,
          },
        ]),
  ]
  return done({ washFrom: wash.value, edgesUntil: edges.value, bondedAt: bond.value, lines })
}

/** What is promised against what can be; null where it goes well. */
export const promiseWords = (dueAt: Date, readyAt: Date): Sentence | null =>
  readyAt.getTime() <= dueAt.getTime()
    ? null
    : say`Promised for ${day(dueAt)}, ${clock(dueAt)}; may go out ${day(readyAt)}, ${clock(readyAt)}: tell the customer.`
