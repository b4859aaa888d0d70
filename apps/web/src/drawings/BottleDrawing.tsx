import { BottleOutline } from './BottleOutline.tsx'
import { useWords } from '../ui/words.ts'
import { type Ingredient, ingredientWords } from '@truelay/core/mix'
import { list, say, volume } from '@truelay/core/say'
import type { PlannedBatch } from '@truelay/core/plan'
import { Quantity } from '../ui/Quantity.tsx'

const colors: Record<Ingredient, string> = {
  water: 'var(--film)',
  'alcohol stock': 'var(--petrol)',
  soap: 'var(--amber)',
  'activator concentrate': 'var(--petrol)',
}
const bottle = { x: 60, top: 70, width: 130, height: 300 }

/** Bottles as they should look when they are mixed: what is poured first lies lowest. */
export function BottleDrawing({ batches }: { readonly batches: readonly PlannedBatch[] }) {
  const t = useWords()
  return (
    <figure className="flex size-full items-center justify-center gap-6 p-4">
      {batches.map((batch) => (
        <div key={batch.use} className="flex h-full max-h-[28.75rem] min-w-0 flex-col items-center text-center">
          <svg
            viewBox="0 0 250 400"
            className="min-h-0 max-w-full flex-1"
            role="img"
            aria-label={t`${batch.says}: ${list(batch.add.map((a) => say`${volume(a.ml)} of ${ingredientWords[a.what]}`))}`}
          >
            <Layers batch={batch} />
            <BottleOutline />
          </svg>
          <figcaption className="text-head font-bold leading-tight">
            {t(batch.says)}
            <span className="block">
              <Quantity of={volume(batch.batchMl)} />
            </span>
          </figcaption>
        </div>
      ))}
    </figure>
  )
}

/** Soap is a thin line on top: drawn at least 5 high, so that it is seen. */
function Layers({ batch }: { readonly batch: PlannedBatch }) {
  const full = bottle.height - 30
  let y = bottle.top + bottle.height
  return batch.add.map(({ what, ml }) => {
    const height = Math.max(5, (full * ml) / batch.batchMl)
    y -= height
    return <rect key={what} x={bottle.x + 3} y={y} width={bottle.width - 6} height={height} fill={colors[what]} />
  })
}
