import type { Strength } from './mixTypes.ts'

const figure = (x: number) => Number(x.toFixed(1))

/** A strength as it stands on a bottle: "10 % alcohol", "1.3 mL/L soap", both, or "no alcohol, no soap". */
export function strengthWords({ alcoholPercent, soapMlPerL }: Strength): string {
  const words = [
    alcoholPercent > 0 ? `${figure(alcoholPercent)} % alcohol` : null,
    soapMlPerL > 0 ? `${figure(soapMlPerL)} mL/L soap` : null,
  ].filter((w) => w !== null)
  return words.length > 0 ? words.join(', ') : 'no alcohol, no soap'
}
