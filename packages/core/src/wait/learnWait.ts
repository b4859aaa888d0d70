/** What an installer found at the end of a wait. */
export interface WaitAnswer {
  /** What the app had said, without what it had learned, minutes. */
  readonly saidMinutes: number
  readonly waitedMinutes: number
  readonly ready: boolean
}

export interface LearnedWait {
  /** By what the app's own figure is multiplied for this shop. */
  readonly factor: number
  /** One standard deviation of its logarithm: 0.3 is a third more or less. */
  readonly sigma: number
  readonly answers: number
}

/** How far shops differ, and how sharply "ready" begins, as standard deviations of the logarithm. */
const shopSpread = 0.35
const readySpread = 0.2
const steps = 161
const widest = 1.6

/**
 * The shop's own factor on a wait from "was it ready?": each answer says only that the right length was shorter or longer than what was
 * waited. Bayes over the logarithm of the factor on a grid, from a prior around 1.
 */
export function learnWait(answers: readonly WaitAnswer[]): LearnedWait {
  const grid = Array.from({ length: steps }, (_, i) => -widest + (2 * widest * i) / (steps - 1))
  const logs = grid.map((log) => {
    const prior = -(log * log) / (2 * shopSpread * shopSpread)
    return answers.reduce((sum, { saidMinutes, waitedMinutes, ready }) => {
      const ahead = (Math.log(waitedMinutes / saidMinutes) - log) / readySpread
      return sum + Math.log(Math.max(1e-12, likely(ready ? ahead : -ahead)))
    }, prior)
  })
  const most = Math.max(...logs)
  const weights = logs.map((log) => Math.exp(log - most))
  const total = weights.reduce((a, b) => a + b, 0)
  const mean = grid.reduce((sum, log, i) => sum + log * (weights[i] ?? 0), 0) / total
  const variance = grid.reduce((sum, log, i) => sum + (log - mean) ** 2 * (weights[i] ?? 0), 0) / total
  return { factor: Math.exp(mean), sigma: Math.sqrt(variance), answers: answers.length }
}

/** A logistic stand-in for the normal distribution (within 0.01). */
const likely = (z: number) => 1 / (1 + Math.exp(-1.702 * z))
