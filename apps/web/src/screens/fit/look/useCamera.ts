import { type RefObject, useEffect, useRef, useState } from 'react'

export interface Camera {
  /** Where the picture of the camera is shown. */
  readonly video: RefObject<HTMLVideoElement | null>
  /** It shows something; else a photo is chosen or taken by the tablet's own camera page. */
  readonly live: boolean
  /** What it shows now, as a file. */
  readonly shoot: () => Promise<File | null>
}

const widthPx = 1600

/** The camera of the tablet, while `on`; where there is none, or nobody allows it, it is not live. */
export function useCamera(on: boolean): Camera {
  const video = useRef<HTMLVideoElement>(null)
  const [live, setLive] = useState(false)
  useEffect(() => {
    const { mediaDevices } = navigator
    if (!on || mediaDevices === undefined) return
    let stream: MediaStream | null = null
    let gone = false
    const open = mediaDevices.getUserMedia({ video: { facingMode: 'environment', width: { ideal: widthPx } } })
    open.then(
      async (opened) => {
        stream = opened
        if (gone || video.current === null) return end()
        video.current.srcObject = opened
        await video.current.play().catch(() => undefined)
        if (!gone) setLive(true)
      },
      () => setLive(false),
    )
    const end = () => {
      for (const track of stream?.getTracks() ?? []) track.stop()
    }
    return () => {
      gone = true
      setLive(false)
      end()
    }
  }, [on])
  return {
    video,
    live,
    shoot: async () => {
      const shown = video.current
      if (shown === null || shown.videoWidth === 0) return null
      const canvas = new OffscreenCanvas(shown.videoWidth, shown.videoHeight)
      canvas.getContext('2d')?.drawImage(shown, 0, 0)
      return new File([await canvas.convertToBlob({ type: 'image/jpeg' })], 'part.jpg', { type: 'image/jpeg' })
    },
  }
}
