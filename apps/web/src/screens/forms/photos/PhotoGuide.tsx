import { type Guidance, leastRays, plateMm } from '@truelay/core/photogrammetry'
import type { ReactNode } from 'react'
import { count, length, list, say, verbatim, counted } from '@truelay/core/say'
import { StandsFromAbove } from '../../../drawings/StandsFromAbove.tsx'
import { Notice } from '../../../ui/Notice.tsx'
import { useWords } from '../../../ui/words.ts'
import { heightWords, sideWords } from './photoWords.ts'

interface PhotoGuideProps {
  readonly guidance: Guidance
  /** Names of the photographs, in the order of the set. */
  readonly photoNames: readonly string[]
  /** Enough of them are there, and they are sure enough. */
  readonly isEnough: boolean
  /** What is done next, on a tablet where it would be far below. */
  readonly children: ReactNode
}

/** So many targets are named; of more it is enough to see them in the picture. */
const mostNamed = 6

/** What the photographs tell so far, and where to stand for the next one. */
export function PhotoGuide({ guidance, photoNames, isEnough, children }: PhotoGuideProps) {
  const t = useWords()
  const { points, seenOnce, taken, next, unplaced } = guidance
  const few = [...points.filter(({ rays }) => rays < leastRays).map(({ target }) => target), ...seenOnce]
  return (
    <div className="flex h-full flex-col gap-3">
      <Notice look={isEnough ? 'good' : 'caution'} role="status">
        {isEnough ? (
          <p className="text-head font-bold">{t`That is enough: measure.`}</p>
        ) : next === null ? (
          <p className="text-head font-bold">{t`Take another photograph, from another side.`}</p>
        ) : (
          <>
            <p className="text-head font-bold leading-tight">{t`Next: ${sideWords[next.side]}`}</p>
            <p className="text-lead">{t(heightWords(next.heightDeg))}</p>
            <p className="text-body text-quiet">{t`The least sure target is then sure to ${length(2 * next.worstThenMm, 1)}; now it is ${length(2 * next.worstNowMm, 1)}.`}</p>
          </>
        )}
      </Notice>
      <div className="flex flex-wrap gap-3 lg:hidden">{children}</div>
      <div className="min-h-64 flex-1">
        <StandsFromAbove
          plate={plateCorners}
          targets={points
            .filter(({ target }) => !plateMm.has(target))
            .map(({ target, at, rays }) => ({ target, at: [at[0], at[1]], isEnough: rays >= leastRays }))}
          taken={taken.map(({ from }) => [from[0], from[1]])}
          next={isEnough || next === null ? null : [next.from[0], next.from[1]]}
        />
      </div>
      {few.length === 0 ? (
        <p className="text-body">{t`Every target is in three photographs or more.`}</p>
      ) : (
        <p className="text-body">
          {few.length > mostNamed
            ? t`${counted(few.length, '# target is', '# targets are')} in fewer than three photographs yet.`
            : t`In fewer than three photographs: ${list(few.map((target) => say`target ${count(target)}`))}.`}
        </p>
      )}
      {unplaced.length === 0 ? null : (
        <p className="text-body text-stop">{t`Neither the start plate nor enough of what the others see: ${list(unplaced.map((photo) => verbatim(photoNames[photo] ?? '')))}.`}</p>
      )}
    </div>
  )
}

/** Of the paper, so that it is as large as it lies there. */
const plateCorners = [
  [0, 0],
  [297, 0],
  [297, 210],
  [0, 210],
] as const
