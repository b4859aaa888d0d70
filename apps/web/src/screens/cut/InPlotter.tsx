import type { DeviceReading } from '@truelay/contract'
import type { Nested, NestRequest } from '@truelay/core/nest'
import { filmLength, length } from '@truelay/core/say'
import { Notice } from '../../ui/Notice.tsx'
import { useWords } from '../../ui/words.ts'
import type { CutSource } from './cutSources.ts'

interface InPlotterProps {
  readonly plotter: DeviceReading<'plotter'>
  readonly source: CutSource
  readonly request: NestRequest
  readonly nested: Nested | null
}

/** So much may lie between a roll's book and its plotter without a word, mm. */
const readsAlikeMm = 300

/** What lies in the plotter, and what does not go together with what is to be cut. */
export function InPlotter({ plotter: { value: roll, says }, source, request, nested }: InPlotterProps) {
  const t = useWords()
  if (roll === null) return <p className="text-body text-quiet">{t`Plotter: ${says}`}</p>
  const isRoll = source.roll?.offcutId === null
  const unlike = isRoll && Math.abs(roll.filmLeftMm - (source.lengthMm ?? 0)) > readsAlikeMm
  const cautions = [
    roll.rollWidthMm < request.rollWidthMm ? t`The roll in the plotter is narrower than the one laid out here.` : null,
    nested !== null && roll.filmLeftMm < nested.usedLengthMm ? t`The plotter has less film than this takes.` : null,
    unlike
      ? t`By its book this roll has ${filmLength(source.lengthMm ?? 0)}, the plotter reads ${filmLength(roll.filmLeftMm)}: is it the roll that is in it?`
      : null,
  ].filter((caution) => caution !== null)
  const [caution] = cautions
  return caution === undefined ? (
    <p className="text-body text-quiet">
      {t`In the plotter: ${filmLength(roll.filmLeftMm)} of film, ${length(roll.rollWidthMm, 0)} wide`}
    </p>
  ) : (
    <Notice look="caution">
      <span className="text-body">{caution}</span>
    </Notice>
  )
}
