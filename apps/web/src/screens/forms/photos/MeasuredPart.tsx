import { type DrawingInSpace, outerRim, seenInDrawing } from '@truelay/core/form'
import { count, length, list, name, percent, say, counted } from '@truelay/core/say'
import { useMemo } from 'react'
import { TargetsFromAbove, unsureGrown } from '../../../drawings/TargetsFromAbove.tsx'
import { Button } from '../../../ui/Button.tsx'
import { Notice } from '../../../ui/Notice.tsx'
import { useWords } from '../../../ui/words.ts'
import type { MeasuredSet } from '../../../workers/photoWork.ts'
import { pointsOfPart } from './pointsOfPart.ts'
import { heightWords, sideWords, suretyWords } from './photoWords.ts'

interface MeasuredPartProps {
  readonly measured: MeasuredSet
  /** Names of the photographs, in the order of the set. */
  readonly photoNames: readonly string[]
  readonly inSpace: DrawingInSpace
  readonly rim: readonly number[]
  readonly onRim: (rim: readonly number[]) => void
  readonly onTurn: () => void
  readonly isMaking: boolean
  readonly onMake: () => void
}

/** What was measured, how sure it is, and the choice of its rim. */
export function MeasuredPart({
  measured: { found, surety, halves, next },
  photoNames,
  inSpace,
  rim,
  onRim,
  onTurn,
  isMaking,
  onMake,
}: MeasuredPartProps) {
  const t = useWords()
  const targets = useMemo(
    () =>
      pointsOfPart(found).map(({ target, atMm, sigmaMm }) => ({
        target,
        at: seenInDrawing(inSpace, atMm).at,
        unsureMm: 2 * Math.hypot(...sigmaMm),
      })),
    [found, inSpace],
  )
  const left = surety.agreesLeast === null ? undefined : photoNames[surety.agreesLeast]
  return (
    <div className="flex h-full flex-col gap-3" data-testid="measured-part">
      <Notice look={surety.problem === null ? 'good' : 'caution'} role="status">
        <p className="text-head font-bold leading-tight">
          {surety.worst === null
            ? t`Nothing was measured.`
            : Number.isFinite(surety.worst.sigmaMm)
              ? t`${counted(targets.length, '# target', '# targets')}, each sure to ${length(2 * surety.worst.sigmaMm, 1)}`
              : t`${counted(targets.length, '# target', '# targets')}, not all of them sure`}
        </p>
        {surety.problem === null ? null : <p className="text-lead">{t(suretyWords[surety.problem])}</p>}
        {surety.problem === 'do not agree' && left !== undefined ? (
          <p className="text-body">{t`${name(left)} agrees least with the others: leave it out and measure again.`}</p>
        ) : null}
        {(surety.problem === 'one side' || surety.problem === 'unsure') && next !== null ? (
          <p className="text-body font-bold">
            {t(sideWords[next.side])} {t(heightWords(next.heightDeg))}
          </p>
        ) : null}
        <p className="text-body text-quiet">
          {halves === null ? null : t`Each half of the photographs by itself agrees to ${length(halves.rmsMm, 2)}. `}
          {surety.barOff === null
            ? null
            : t`The second bar comes out ${percent(100 * Math.abs(surety.barOff), 2)} off. `}
          {found.shaken.length === 0 || surety.problem === 'shaken'
            ? null
            : t`Left out as shaken or zoomed: ${count(found.shaken.length)}. `}
          {found.tooFewRays.length === 0
            ? null
            : t`Left out, in fewer than three photographs: ${list(found.tooFewRays.map((target) => say`target ${count(target)}`))}.`}
        </p>
      </Notice>
      <p className="text-lead font-bold">{t`4. Rim: is that the way round the part?`}</p>
      <div className="min-h-64 flex-1">
        <TargetsFromAbove
          targets={targets}
          rim={rim}
          onPick={(target) => onRim(rim.includes(target) ? rim.filter((one) => one !== target) : [...rim, target])}
        />
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <Button look="go" disabled={rim.length < 3 || surety.problem !== null || isMaking} onClick={onMake}>
          {isMaking ? t`Making the form` : t`Make it a form`}
        </Button>
        <Button onClick={() => onRim(outerRim(targets.map(({ at }) => at)).flatMap((i) => targets[i]?.target ?? []))}>
          {t`The outer ones`}
        </Button>
        <Button look="quiet" onClick={() => onRim([])} disabled={rim.length === 0}>{t`None`}</Button>
        <Button look="quiet" onClick={onTurn}>{t`Turn by a quarter`}</Button>
      </div>
      <p className="text-body text-quiet">{t`A tap adds a target at the end of the rim, or takes it out. Amber: how unsure it is, ${count(unsureGrown)} times as large.`}</p>
    </div>
  )
}
