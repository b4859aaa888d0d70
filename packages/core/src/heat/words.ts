import { figure, say, type Sentence, verbatim } from '../say/index.ts'

const ordinals = [
  say`first`,
  say`second`,
  say`third`,
  say`fourth`,
  say`fifth`,
  say`sixth`,
  say`seventh`,
  say`eighth`,
  say`ninth`,
  say`tenth`,
]
const numbers = [
  say`one`,
  say`two`,
  say`three`,
  say`four`,
  say`five`,
  say`six`,
  say`seven`,
  say`eight`,
  say`nine`,
  say`ten`,
  say`eleven`,
  say`twelve`,
]

/** A count as it is said: words up to twelve. */
export const numberWord = (n: number): Sentence => numbers[n - 1] ?? say`${figure(n)}`

/** A setting as one sets it: a bare number is a notch. */
export function settingWords(setting: string): Sentence {
  const notch = Number(setting)
  const ordinal = Number.isInteger(notch) ? ordinals[notch - 1] : undefined
  return ordinal === undefined ? verbatim(setting) : say`${ordinal} notch`
}

/** A distance against the hand that holds the gun. */
export function distanceWords(distanceMm: number): Sentence {
  if (distanceMm < 60) return say`three fingers away`
  if (distanceMm < 82) return say`a palm away`
  if (distanceMm <= 105) return say`a hand’s breadth away`
  if (distanceMm <= 140) return say`a hand and a thumb away`
  return say`a span away`
}

/** The time of one pass as one counts it. */
export function paceWords(passSeconds: number): Sentence {
  if (passSeconds < 0.7) return say`about half a second each way`
  if (passSeconds < 1.4) return say`about one second each way`
  const half = Math.round(passSeconds * 2) / 2
  if (half === 1.5) return say`about a second and a half each way`
  return say`about ${Number.isInteger(half) ? numberWord(half) : figure(half, 1)} seconds each way`
}

/** Passes as one counts them: to and fro is two. */
export function passesWords(passes: number): Sentence {
  if (passes === 1) return say`along once`
  if (passes === 2) return say`along and back`
  if (passes === 3) return say`along, back and along`
  if (passes === 4) return say`along and back twice`
  if (passes === 5) return say`along and back twice, and along once more`
  return passes % 2 === 0
    ? say`along and back ${numberWord(passes / 2)} times`
    : say`along and back ${numberWord((passes - 1) / 2)} times, and along once more`
}

/** "third notch, a hand’s breadth away, along and back three times, about one second each way" */
export const heatWords = (h: {
  readonly setting: Sentence
  readonly distanceMm: number
  readonly passes: number
  readonly passSeconds: number
}): Sentence => say`${h.setting}, ${distanceWords(h.distanceMm)}, ${passesWords(h.passes)}, ${paceWords(h.passSeconds)}`
