import type { FitFact } from './fitFact.ts'

/** Facts as they may leave the shop: which were of one vehicle or of one hand stays, whose they were does not. */
export function nameless(facts: readonly FitFact[]): FitFact[] {
  const [bodies, hands, parts] = [numbered('body'), numbered('hand'), numbered('part')]
  return facts.map((fact) => ({
    ...fact,
    partId: parts(fact.partId),
    body: bodies(fact.body),
    hand: hands(fact.hand),
  }))
}

function numbered(kind: string): (name: string) => string {
  const numbers = new Map<string, string>()
  return (name) => {
    const known = numbers.get(name) ?? `${kind}-${numbers.size + 1}`
    numbers.set(name, known)
    return known
  }
}
