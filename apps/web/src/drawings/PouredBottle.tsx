import { volume } from '@truelay/core/say'
import { BottleOutline } from './BottleOutline.tsx'
import { useWords } from '../ui/words.ts'

/** Where it is full, and where it is empty. */
const [top, bottom] = [92, 370]

/** A bottle with its marks, filled so far. */
export function PouredBottle({ volumeMl, bottleMl }: { readonly volumeMl: number; readonly bottleMl: number }) {
  const t = useWords()
  const at = (ml: number) => bottom - ((bottom - top) * ml) / bottleMl
  const marks = Array.from({ length: Math.floor(bottleMl / 100) }, (_, i) => 100 * (i + 1))
  return (
    <svg
      viewBox="40 0 170 400"
      className="h-full max-w-full"
      role="img"
      aria-label={t`A bottle of ${volume(bottleMl)} with ${volume(volumeMl)} in it`}
    >
      <rect x="63" y={at(volumeMl)} width="124" height={bottom - at(volumeMl)} fill="var(--film)" />
      <line x1="63" x2="187" y1={at(volumeMl)} y2={at(volumeMl)} stroke="var(--petrol)" strokeWidth="3" />
      <BottleOutline />
      {marks.map((ml) => (
        <g key={ml}>
          <line x1="62" x2={ml % 500 === 0 ? 96 : 82} y1={at(ml)} y2={at(ml)} stroke="var(--ink)" strokeWidth="2" />
          {ml % 500 === 0 || ml === marks.at(-1) ? (
            <text x="102" y={at(ml) + 6} fontSize="18" fill="var(--ink)">
              {t`${volume(ml)}`}
            </text>
          ) : null}
        </g>
      ))}
    </svg>
  )
}
