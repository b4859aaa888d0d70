/** Five rising bars, as many filled as the grade says. */
export function GradeBars({ grade }: { readonly grade: number | null }) {
  const t = useWords()
  return (
    <svg
      width="26"
      height="14"
      viewBox="0 0 26 14"
      role="img"
      aria-label={grade === null ? t`grade not worked out yet` : t`grade ${grade} of 5`}
    >
      {[0, 1, 2, 3, 4].map((i) => (
        <rect
          key={i}
          x={i * 5.4}
          y={11 - 2.4 * i - 1}
          width="4"
          height={4 + 2.4 * i}
          className={grade !== null && i < grade ? 'fill-ink' : 'fill-hair'}
        />
      ))}
    </svg>
  )
}
import { useWords } from './words.ts'
