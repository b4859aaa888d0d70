import { useWords } from '../../ui/words.ts'
import type { Vec2 } from '@truelay/core/geometry'
import { useEffect, useRef, useState } from 'react'
import type { PhotoUnder } from '../../drawings/FormSketch.tsx'
import { Button } from '../../ui/Button.tsx'
import { FileButton } from '../../ui/FileButton.tsx'
import { NumberCell } from './NumberCell.tsx'

interface PhotoTraceProps {
  readonly photo: PhotoUnder | null
  readonly onPhoto: (photo: PhotoUnder | null) => void
  /** Two places on the photo whose distance is known; null while nobody sets the scale. */
  readonly scale: readonly Vec2[] | null
  readonly onScale: (scale: readonly Vec2[] | null) => void
}

/** Before its scale is set, a photo is taken to show this much. */
const firstGuessMm = 1000

/** A photo under the drawing, to trace over; its scale comes from two places that are a known distance apart. */
export function PhotoTrace({ photo, onPhoto, scale, onScale }: PhotoTraceProps) {
  const t = useWords()
  const [problem, setProblem] = useState<string | null>(null)
  const held = useRef<string | null>(null)
  useEffect(
    () => () => {
      if (held.current !== null) URL.revokeObjectURL(held.current)
    },
    [],
  )
  const take = async (file: File) => {
    const bitmap = await createImageBitmap(file).catch(() => null)
    if (bitmap === null) return setProblem(t`That file is no photo this tablet can read.`)
    setProblem(null)
    if (held.current !== null) URL.revokeObjectURL(held.current)
    held.current = URL.createObjectURL(file)
    onPhoto({
      url: held.current,
      widthPx: bitmap.width,
      heightPx: bitmap.height,
      mmPerPx: firstGuessMm / bitmap.width,
    })
    onScale([])
    bitmap.close()
  }
  const [a, b] = scale ?? []
  const apart = a !== undefined && b !== undefined ? Math.hypot(a[0] - b[0], a[1] - b[1]) : null
  return (
    <section aria-label={t`Photo to trace`} className="mt-4 border-t border-hair pt-3">
      {photo === null ? (
        <FileButton
          label={t`Photo to trace over`}
          accept="image/*"
          className="w-full"
          onFiles={([file]) => file && void take(file)}
        >{t`Trace over a photo`}</FileButton>
      ) : (
        <>
          {scale === null ? null : apart === null ? (
            <p role="status" className="border-l-5 border-amber bg-amber-tint p-2 text-body">
              {scale.length === 0
                ? t`Set the scale: tap the first of two places on the photo whose distance you know.`
                : t`Set the scale: tap the second of two places on the photo whose distance you know.`}
            </p>
          ) : (
            <NumberCell
              label={t`These two places are apart by`}
              value={apart}
              min={5}
              max={10_000}
              onCommit={(knownMm) => {
                const by = knownMm / apart
                onPhoto({ ...photo, mmPerPx: photo.mmPerPx * by })
                onScale(scale.map(([x, y]): Vec2 => [x * by, y * by]))
              }}
            />
          )}
          <div className="mt-2 flex gap-2">
            {scale === null || apart !== null ? (
              <Button onClick={() => onScale(scale === null ? [] : null)}>
                {scale === null ? t`Set the scale` : t`That is its scale`}
              </Button>
            ) : null}
            <Button
              onClick={() => {
                onPhoto(null)
                onScale(null)
              }}
            >{t`Take it away`}</Button>
          </div>
        </>
      )}
      <p className="mt-1 text-note text-quiet">{t`Straight on, from as far away as you can. Lay a rule beside the part; a photo taken from close by bulges.`}</p>
      {problem === null ? null : (
        <p role="alert" className="text-note text-stop">
          {problem}
        </p>
      )}
    </section>
  )
}
