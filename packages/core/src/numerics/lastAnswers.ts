/**
 * A costly pure function that keeps its last few answers under a key that says all that they hang on: asked the same again, as with every
 * frame of a drag, it answers at once. `most` bounds what is kept; the oldest goes first.
 */
export function lastAnswers<Q, A>(
  keyOf: (question: Q) => string,
  work: (question: Q) => A,
  most = 4,
): (question: Q) => A {
  const kept = new Map<string, A>()
  return (question) => {
    const key = keyOf(question)
    const known = kept.get(key)
    if (known !== undefined) return known
    const answer = work(question)
    kept.set(key, answer)
    const [oldest] = kept.keys()
    if (kept.size > most && oldest !== undefined) kept.delete(oldest)
    return answer
  }
}
