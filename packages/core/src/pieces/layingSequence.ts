import { done, failure, type Result, refused } from '../result/index.ts'

/** Something that is laid as one piece. */
export interface SequencePiece {
  readonly id: string
  readonly name: string
  readonly spares: number
  /** Pieces that this one covers in part: they lie underneath and go on first. */
  readonly over?: readonly string[] | undefined
}

export interface SequenceRule {
  readonly first: string
  readonly next: string
  readonly reason: string
}

export interface SequenceStep {
  readonly id: string
  readonly name: string
  /** Why it comes where it comes; empty where only the kit's own order decides. */
  readonly reasons: readonly string[]
}

/**
 * The order in which the pieces of a kit go on: rules first (reference piece, what lies underneath, inner before outer), and where
 * no rule decides, the side that has a spare, then the kit's own order.
 * Can be refused: `SEQUENCE_CIRCLE` when rules contradict each other.
 */
export function layingSequence(
  pieces: readonly SequencePiece[],
  rules: readonly SequenceRule[],
): Result<SequenceStep[]> {
  const nameOf = (id: string) => pieces.find((p) => p.id === id)?.name ?? id
  const known = new Set(pieces.map((p) => p.id))
  const all: SequenceRule[] = [
    ...rules,
    ...pieces.flatMap((p) =>
      (p.over ?? []).map((under) => ({ first: under, next: p.id, reason: 'What lies underneath goes on first.' })),
    ),
  ].filter((rule) => known.has(rule.first) && known.has(rule.next))
  const waiting = [...pieces]
  const steps: SequenceStep[] = []
  const said = new Set<string>()
  while (waiting.length > 0) {
    const ready = waiting.filter((p) => !all.some((r) => r.next === p.id && waiting.some((w) => w.id === r.first)))
    if (ready.length === 0) {
      const rule = all.find((r) => waiting.some((w) => w.id === r.first) && waiting.some((w) => w.id === r.next))
      return refused(failure('SEQUENCE_CIRCLE', { first: nameOf(rule?.next ?? ''), second: nameOf(rule?.first ?? '') }))
    }
    const leads = (p: SequencePiece) => all.filter((r) => r.first === p.id).length
    const [next] = [...ready].sort(
      (a, b) => leads(b) - leads(a) || b.spares - a.spares || pieces.indexOf(a) - pieces.indexOf(b),
    )
    if (next === undefined) break
    const reasons = [
      ...all
        .filter((r) => r.next === next.id)
        .map((r) => `After ${nameOf(r.first)}${said.has(r.reason) ? '.' : `: ${r.reason}`}`),
      ...(leads(next) > 0 ? [`Before ${listOf(all, next.id, nameOf)}.`] : []),
      ...(next.spares > 0 ? ['There is a spare: the first try may fail.'] : []),
    ]
    for (const r of all) if (r.next === next.id) said.add(r.reason)
    steps.push({ id: next.id, name: next.name, reasons })
    waiting.splice(waiting.indexOf(next), 1)
  }
  return done(steps)
}

function listOf(rules: readonly SequenceRule[], first: string, nameOf: (id: string) => string): string {
  const names = rules.filter((r) => r.first === first).map((r) => nameOf(r.next))
  return names.length > 2 ? `${names.length} others` : names.join(' and ')
}
