/** A count as it is said. */
const ordinals = [
  'zeroth',
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
]
const numbers = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
]

export const numberWord = (n: number) => numbers[n] ?? String(n)

/** A setting as one sets it: a bare number is a notch. */
export const settingWords = (name: string) => {
  const notch = Number(name)
  return Number.isInteger(notch) && notch > 0 && notch < ordinals.length ? `${ordinals[notch]} notch` : name
}

/** A distance against the hand that holds the gun. */
export function distanceWords(distanceMm: number): string {
  if (distanceMm < 60) return 'three fingers away'
  if (distanceMm < 82) return 'a palm away'
  if (distanceMm <= 105) return 'a hand’s breadth away'
  if (distanceMm <= 140) return 'a hand and a thumb away'
  return 'a span away'
}

/** The time of one pass as one counts it. */
export function paceWords(passSeconds: number): string {
  if (passSeconds < 0.7) return 'about half a second each way'
  if (passSeconds < 1.4) return 'about one second each way'
  const half = Math.round(passSeconds * 2) / 2
  if (half === 1.5) return 'about a second and a half each way'
  return `about ${Number.isInteger(half) ? numberWord(half) : half} seconds each way`
}

/** Passes as one counts them: to and fro is two. */
export function passesWords(passes: number): string {
  if (passes === 1) return 'along once'
  if (passes === 2) return 'along and back'
  if (passes % 2 === 0) return passes === 4 ? 'along and back twice' : `along and back ${numberWord(passes / 2)} times`
  return passes === 3
    ? 'along, back and along'
    : `along and back ${passes === 5 ? 'twice' : `${numberWord((passes - 1) / 2)} times`}, and along once more`
}

/** "third notch, a hand’s breadth away, along and back three times, about one second each way" */
export const heatWords = (h: { setting: string; distanceMm: number; passes: number; passSeconds: number }) =>
  [settingWords(h.setting), distanceWords(h.distanceMm), passesWords(h.passes), paceWords(h.passSeconds)].join(', ')
