import { randomNormal } from 'd3-random'

/** Numbers about zero with a spread of one, from a source of even numbers between 0 and 1. */
export const seededNormal = (random: () => number): (() => number) => randomNormal.source(random)(0, 1)
