/** Gives a piece of work to the next hand that is free; pieces wait in the order in which they came. */
export function handPool<Hand>(hands: readonly Hand[]) {
  const free = [...hands]
  const waiting: ((hand: Hand) => void)[] = []
  const isFree = (hand: Hand) => {
    const next = waiting.shift()
    if (next === undefined) free.push(hand)
    else next(hand)
  }
  return async function inFreeHand<Answer>(work: (hand: Hand) => Promise<Answer>): Promise<Answer> {
    const hand = free.shift() ?? (await new Promise<Hand>((resolve) => waiting.push(resolve)))
    try {
      return await work(hand)
    } finally {
      isFree(hand)
    }
  }
}
