import type { FaultPicture } from '@truelay/core/exercises'
import { useEffect, useRef } from 'react'

interface FaultPhotoProps {
  readonly picture: FaultPicture
  /** What is seen, in words, without saying what it is. */
  readonly says: string
}

/** Darkest and brightest of film on paint, in red, green and blue; the same by day and by night, as a photograph is. */
const dark = [22, 34, 44] as const
const bright = [236, 242, 243] as const

/** Film from near in low light, spot by spot. */
export function FaultPhoto({ picture, says }: FaultPhotoProps) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const { across, down } = picture
  useEffect(() => {
    const context = canvas.current?.getContext('2d')
    if (context == null) return
    const image = context.createImageData(across, down)
    picture.bright.forEach((share, i) => {
      for (let k = 0; k < 3; k++) image.data[4 * i + k] = (dark[k] ?? 0) + share * ((bright[k] ?? 0) - (dark[k] ?? 0))
      image.data[4 * i + 3] = 255
    })
    context.putImageData(image, 0, 0)
  }, [picture, across, down])
  return (
    <canvas
      ref={canvas}
      width={across}
      height={down}
      role="img"
      aria-label={says}
      className="mx-auto block w-full max-w-xl border border-ink/40 lg:max-w-none"
    />
  )
}
