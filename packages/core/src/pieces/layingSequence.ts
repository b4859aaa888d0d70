import { done, failure, type Result, refused } from '../result/index.ts'
import { counted, list, name, sameSentence, say, type Sentence, type Spoken, verbatim } from '../say/index.ts'

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

type SaidRule = Omit<SequenceRule, 'reason'> & { readonly reason: Sentence }

export interface SequenceStep {
  readonly id: string
  readonly name: string
  /** Why it comes where it comes; empty where only the kit's own order decides. */
  readonly reasons: readonly Sentence[]
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
  const here = new Set(pieces.map((p) => p.id))
  const all: SaidRule[] = [
    ...rules.map((rule) => ({ ...rule, reason: verbatim(rule.reason) })),
    ...pieces.flatMap((p) =>
      (p.over ?? []).map((under) => ({ first: under, next: p.id, reason: say`What lies underneath goes on first.` })),
    ),
  ].filter((rule) => here.has(rule.first) && here.has(rule.next))
  const waiting = [...pieces]
  const steps: SequenceStep[] = []
  const known: Sentence[] = []
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
        .map((r) =>
          known.some((reason) => sameSentence(reason, r.reason))
            ? say`After ${name(nameOf(r.first))}.`
            : say`After ${name(nameOf(r.first))}: ${r.reason}`,
        ),
      ...(leads(next) > 0 ? [say`Before ${listOf(all, next.id, nameOf)}.`] : []),
      ...(next.spares > 0 ? [say`There is a spare: the first try may fail.`] : []),
    ]
    for (const r of all) if (r.next === next.id) known.push(r.reason)
    steps.push({ id: next.id, name: next.name, reasons })
    waiting.splice(waiting.indexOf(next), 1)
  }
  return done(steps)
}

function listOf(rules: readonly SaidRule[], first: string, nameOf: (id: string) => string): Spoken {
  const names = rules.filter((r) => r.first === first).map((r) => nameOf(r.next))
  return names.length > 2 ? counted(names.length, '# other', '# others') : list(names)
}
