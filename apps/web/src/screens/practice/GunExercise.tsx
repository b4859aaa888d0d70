import { type GunTask, makeGun, markGun } from '@truelay/core/exercises'
import { length, percent, say, type Sentence, temperature } from '@truelay/core/say'
import { type PointerEvent, type ReactNode, useRef, useState } from 'react'
import { HeatLegend } from '../../drawings/HeatLegend.tsx'
import { paintHeat } from '../../drawings/paintHeat.ts'
import { Button } from '../../ui/Button.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { useWheel } from '../../ui/useWheel.ts'
import { useWords } from '../../ui/words.ts'
import type { ExerciseProps } from './exerciseProps.ts'
import { usePatch } from './usePatch.ts'

const materialWords: Readonly<Record<GunTask['material'], Sentence>> = {
  'painted steel': say`film on painted steel`,
  'painted aluminium': say`film on painted aluminium`,
  'painted plastic': say`film on painted plastic`,
  'lens plastic': say`film on a lamp`,
  'gloss trim': say`film on gloss trim`,
  glass: say`film on glass`,
}

const usualDistanceMm = 90
const wheelMm = 5
const readMs = 150

/** What is read off while the gun is led. */
interface Reading {
  readonly spotC: number | null
  readonly reached: number
  readonly hottestC: number
  readonly leftS: number
}

/** A gun under the pointer over a patch of film: heat goes where it goes, and the thermometer reads the spot. */
export function GunExercise({ seed, level, practice, done, onDone }: ExerciseProps) {
  const t = useWords()
  const [task] = useState(() => makeGun(seed, level, practice))
  const canvas = useRef<HTMLCanvasElement>(null)
  const [distanceMm, setDistance] = useState(usualDistanceMm)
  const [begun, setBegun] = useState(false)
  const [reading, setReading] = useState<Reading>({
    spotC: null,
    reached: 0,
    hottestC: task.ambientC,
    leftS: task.seconds,
  })
  const gun = useRef<{ xMm: number; yMm: number } | null>(null)
  const beganAt = useRef<number | null>(null)
  const told = useRef(0)
  const ended = useRef(false)

  const { lead, end } = usePatch(task, {
    onFrame: ({ surfaceC, across, down, spotC, reached, hottestC }) => {
      if (canvas.current !== null) paintHeat(canvas.current, surfaceC, [across, down], task)
      const now = performance.now()
      const leftS = beganAt.current === null ? task.seconds : task.seconds - (now - beganAt.current) / 1000
      if (leftS <= 0) finish()
      // Figures that change thirty times a second are read by nobody.
      if (now - told.current < readMs) return
      told.current = now
      setReading({ spotC, reached, hottestC, leftS: Math.max(0, leftS) })
    },
    onEnded: (hottestC, across) => {
      // The gun is down, also when its time ran out over the film.
      setReading((read) => ({ ...read, spotC: null }))
      onDone(markGun(task, hottestC, across))
    },
  })
  const finish = () => {
    if (ended.current) return
    ended.current = true
    end()
  }

  const place = ({ clientX, clientY, currentTarget }: PointerEvent<HTMLElement>) => {
    if (done) return
    const box = currentTarget.getBoundingClientRect()
    const at = {
      xMm: ((clientX - box.left) / box.width) * task.widthMm,
      yMm: ((clientY - box.top) / box.height) * task.heightMm,
    }
    gun.current = at
    beganAt.current ??= performance.now()
    if (!begun) setBegun(true)
    lead({ ...at, distanceMm })
  }
  const putDown = () => {
    gun.current = null
    lead(null)
  }
  const hold = (mm: number) => {
    const held = Math.min(task.farthestMm, Math.max(task.nearestMm, mm))
    setDistance(held)
    if (gun.current !== null) lead({ ...gun.current, distanceMm: held })
  }
  useWheel(canvas, (turns) => hold(distanceMm + wheelMm * turns))

  const share = (mm: number, of: number) => `${(100 * mm) / of}%`
  return (
    <div className="grid flex-1 content-start gap-x-6 gap-y-4 px-6 py-4 lg:grid-cols-[minmax(0,1fr)_17rem]">
      <div>
        <p className="mb-2 text-lead">
          <strong>{t(task.says)}</strong>{' '}
          {t`Between ${temperature(task.leastC)} and ${temperature(task.mostC)}; ${materialWords[task.material]}, in a room of ${temperature(task.ambientC)}.`}
        </p>
        <div
          className={`relative aspect-[2/1] w-full touch-none overflow-hidden border-2 border-ink ${done ? '' : 'cursor-crosshair'}`}
          onPointerMove={place}
          onPointerDown={place}
          onPointerLeave={putDown}
          onPointerUp={({ pointerType }) => {
            if (pointerType !== 'mouse') putDown()
          }}
          data-testid="patch"
        >
          <canvas
            ref={canvas}
            className="block size-full [image-rendering:auto]"
            aria-label={t`Film seen by its heat`}
            role="img"
          />
          <div
            className="pointer-events-none absolute border-3 border-dashed border-ink"
            style={{
              left: share(task.place.leftMm, task.widthMm),
              top: share(task.place.topMm, task.heightMm),
              width: share(task.place.widthMm, task.widthMm),
              height: share(task.place.heightMm, task.heightMm),
            }}
          />
          {begun ? null : (
            <p className="pointer-events-none absolute inset-x-0 top-1/3 text-center text-title font-bold">
              {t`Take the gun: lead the pointer over the film.`}
            </p>
          )}
        </div>
        <HeatLegend {...task} />
      </div>
      <div className="flex flex-col gap-4">
        <Figure label={t`Thermometer, at the spot`}>
          {reading.spotC === null ? '–' : <Quantity of={temperature(reading.spotC)} />}
        </Figure>
        <Figure label={t`Hottest anywhere`} alarming={reading.hottestC > task.damageC}>
          <Quantity of={temperature(reading.hottestC)} />
        </Figure>
        <Figure label={t`Of the place warm enough`}>{t`${percent(Math.round(100 * reading.reached))}`}</Figure>
        <div>
          <label className="block">
            <span className="label block text-note text-quiet">{t`Held away (or turn the wheel)`}</span>
            <span className="flex items-center gap-3">
              <input
                type="range"
                min={task.nearestMm}
                max={task.farthestMm}
                step={5}
                value={distanceMm}
                disabled={done}
                onChange={(event) => hold(Number(event.target.value))}
                className="min-h-11 flex-1 accent-petrol"
              />
              <strong className="min-w-20 text-right text-head">
                <Quantity of={length(distanceMm, 0)} />
              </strong>
            </span>
          </label>
        </div>
        <p className="text-lead">{t`${Math.ceil(reading.leftS)} seconds left`}</p>
        {done ? null : (
          <Button
            look="go"
            className="min-h-14 text-lead"
            disabled={!begun}
            onClick={finish}
          >{t`Gun down: done`}</Button>
        )}
      </div>
    </div>
  )
}

function Figure({
  label,
  alarming = false,
  children,
}: {
  readonly label: string
  readonly alarming?: boolean
  readonly children: ReactNode
}) {
  return (
    <div>
      <span className="label block text-note text-quiet">{label}</span>
      <strong className={`block text-figure leading-none ${alarming ? 'text-stop' : ''}`}>{children}</strong>
    </div>
  )
}
