/** No more hands than trials that are made side by side. */
const mostHands = 4

/** Where a browser does not tell its processors. */
const usualProcessors = 2

/** How many threads a search is shared out among: as many as there are processors, up to four. */
export const handsFor = (processors: number | undefined): number =>
  Math.max(1, Math.min(mostHands, processors ?? usualProcessors))
