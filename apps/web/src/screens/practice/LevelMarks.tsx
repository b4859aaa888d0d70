import { exerciseLevels, type ExerciseLevel } from '@truelay/core/exercises'
import { count, percent } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'

/** The level that somebody is at as filled squares, and the best that was done there. */
export function LevelMarks({ level, best }: { readonly level: ExerciseLevel; readonly best: number | null }) {
  const t = useWords()
  return (
    <span className="inline-flex flex-wrap items-center gap-x-2 text-body">
      <span className="flex gap-1" aria-hidden>
        {exerciseLevels.map((each) => (
          <span key={each} className={`size-4 border-2 border-petrol ${each <= level ? 'bg-petrol' : ''}`} />
        ))}
      </span>
      <span className="leading-tight">
        {best === null ? t`level ${count(level)}` : t`level ${count(level)}, best ${percent(Math.round(100 * best))}`}
      </span>
    </span>
  )
}
