import type { PartFamily } from '../form/index.ts'
import { counted, name, say, type Sentence } from '../say/index.ts'
import { areTwins, type PieceSide } from '../stock/index.ts'
import { layingSequence, type SequenceRule } from './layingSequence.ts'

/** How the parts of a set are led through: one finished before the next, or the next one begun while the first dries. */
export const setModes = ['piece after piece', 'to and fro'] as const
export type SetMode = (typeof setModes)[number]
export const setModeWords: Readonly<Record<SetMode, Sentence>> = {
  'piece after piece': say`piece after piece`,
  'to and fro': say`to and fro`,
}

/** Parts of a job that one person fits together: washed, mixed for, masked and agreed to once. */
export interface PartSet {
  readonly mode: SetMode
  /** In the order in which they are laid. */
  readonly partIds: readonly string[]
}

/** What sets are made of: a part of a job with the piece that covers it. */
export interface SetMember {
  readonly id: string
  readonly name: string
  readonly family: PartFamily
  readonly filmId: string
  readonly piece: { readonly id: string; readonly kitId: string; readonly side: PieceSide } | null
}

export interface SuggestedSet extends PartSet {
  readonly because: Sentence
}

/** A strip has no other side; a pair is a pair. */
const leastRow = 3

/**
 * Sets that suggest themselves: rows of a kit on one side of the vehicle whose order is ruled, or bars of trim there; and the two lamps
 * of a pair; then two pieces of which one sets the line of the other, as inner and outer lamp of one side do. A part is in one of them at most.
 */
export function suggestSets(members: readonly SetMember[], rules: readonly SequenceRule[]): SuggestedSet[] {
  const taken = new Set<string>()
  const sets: SuggestedSet[] = []
  const add = (set: SuggestedSet) => {
    for (const id of set.partIds) taken.add(id)
    sets.push(set)
  }
  const ruled = (a: SetMember, b: SetMember) =>
    rules.some(
      (r) => (r.first === a.piece?.id && r.next === b.piece?.id) || (r.first === b.piece?.id && r.next === a.piece?.id),
    )
  const groups = new Map<string, SetMember[]>()
  for (const member of members) {
    const key = member.piece === null ? '' : `${member.piece.kitId} ${member.piece.side} ${member.filmId}`
    if (key !== '') groups.set(key, [...(groups.get(key) ?? []), member])
  }
  for (const group of groups.values()) {
    const row = group.filter((m) => group.some((other) => other !== m && (ruled(m, other) || bothTrim(m, other))))
    if (row.length < leastRow && !row.every((m) => m.family === 'trim')) continue
    if (row.length < 2) continue
    add({
      mode: 'piece after piece',
      partIds: inOrder(row, rules),
      because: say`${counted(row.length, '# piece', '# pieces')} of one kit on one side: washed, mixed for and masked once, each before the next.`,
    })
  }
  for (const one of members) {
    const other = members.find(
      (m) =>
        m.family === 'lamp' && one.family === 'lamp' && m.filmId === one.filmId && twins(one, m) && !taken.has(m.id),
    )
    if (other === undefined || taken.has(one.id)) continue
    add({
      mode: 'to and fro',
      partIds: [one.id, other.id],
      because: say`A pair: ${name(other.name)} is laid while the first one dries, then back to cut the first.`,
    })
  }
  for (const group of groups.values()) {
    const left = group.filter((m) => !taken.has(m.id))
    const row = left.filter((m) => left.some((other) => other !== m && ruled(m, other)))
    if (row.length < 2) continue
    add({
      mode: 'piece after piece',
      partIds: inOrder(row, rules),
      because: say`One sets the line of the other: washed, mixed for and masked once, the first before the second.`,
    })
  }
  return sets
}

const bothTrim = (a: SetMember, b: SetMember) => a.family === 'trim' && b.family === 'trim'
const twins = (a: SetMember, b: SetMember) => a.piece !== null && b.piece !== null && areTwins(a.piece, b.piece)

/** As the kit's rules have it; where they go in a circle, as they stand. */
function inOrder(row: readonly SetMember[], rules: readonly SequenceRule[]): string[] {
  const sequence = layingSequence(
    row.map((m) => ({ id: m.piece?.id ?? m.id, name: m.name, spares: 0 })),
    rules,
  )
  if (!sequence.ok) return row.map((m) => m.id)
  return sequence.value.flatMap(({ id }) => row.filter((m) => (m.piece?.id ?? m.id) === id).map((m) => m.id))
}

/** What is wrong with sets that somebody has made; null where nothing is. */
export function setsProblem(
  sets: readonly PartSet[],
  members: readonly SetMember[],
  rules: readonly SequenceRule[],
): Sentence | null {
  const nameOf = (id: string) => name(members.find((m) => m.id === id)?.name ?? id)
  const seen = new Set<string>()
  for (const { partIds } of sets) {
    if (partIds.length < 2) return say`A set has two parts at least.`
    for (const id of partIds) {
      if (!members.some((m) => m.id === id)) return say`"${name(id)}" is no part of this job.`
      if (seen.has(id)) return say`${nameOf(id)} is in two sets: a part is fitted once.`
      seen.add(id)
    }
    const pieceOf = (id: string) => members.find((m) => m.id === id)?.piece?.id
    for (const { first, next, reason } of rules) {
      const [a, b] = [partIds.findIndex((id) => pieceOf(id) === first), partIds.findIndex((id) => pieceOf(id) === next)]
      if (a >= 0 && b >= 0 && a > b)
        return say`${nameOf(partIds[a] ?? '')} goes on before ${nameOf(partIds[b] ?? '')}: ${name(reason)}`
    }
  }
  return null
}
