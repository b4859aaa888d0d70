import { useEffect, useRef, useState } from 'react'
import type { PhotoUnder } from '../../drawings/FormSketch.tsx'
import { Button } from '../../ui/Button.tsx'
import { FileButton } from '../../ui/FileButton.tsx'
import { NumberCell } from './NumberCell.tsx'

interface PhotoTraceProps {
  readonly photo: PhotoUnder | null
  readonly onPhoto: (photo: PhotoUnder | null) => void
}

/** A photo under the drawing, to trace over: taken straight on, with a known width to give its scale. */
export function PhotoTrace({ photo, onPhoto }: PhotoTraceProps) {
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
    if (bitmap === null) return setProblem('That file is no photo this tablet can read.')
    setProblem(null)
    if (held.current !== null) URL.revokeObjectURL(held.current)
    held.current = URL.createObjectURL(file)
    onPhoto({ url: held.current, widthPx: bitmap.width, heightPx: bitmap.height, mmPerPx: 1000 / bitmap.width })
    bitmap.close()
  }
  return (
    <section aria-label="Photo to trace" className="mt-4 border-t border-hair pt-3">
      {photo === null ? (
        <FileButton
          label="Photo to trace over"
          accept="image/*"
          className="w-full"
          onFiles={([file]) => file && void take(file)}
        >
          Trace over a photo
        </FileButton>
      ) : (
        <div className="grid grid-cols-[1fr_auto] items-end gap-3">
          <NumberCell
            label="What the photo shows is this wide"
            value={photo.widthPx * photo.mmPerPx}
            min={20}
            max={10_000}
            onCommit={(wideMm) => onPhoto({ ...photo, mmPerPx: wideMm / photo.widthPx })}
          />
          <Button onClick={() => onPhoto(null)}>Take it away</Button>
        </div>
      )}
      <p className="mt-1 text-[15px] text-quiet">
        Straight on, from as far away as you can. Lay a rule beside the part; a photo taken from close by bulges.
      </p>
      {problem === null ? null : (
        <p role="alert" className="text-[15px] text-stop">
          {problem}
        </p>
      )}
    </section>
  )
}
