import { percent, temperature } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { Practice } from '@truelay/core/practice'
import { bondOver, type Climate } from '@truelay/core/wait'
import { lazy, Suspense, useMemo } from 'react'
import { Busy } from '../../ui/Failed.tsx'

const LineCourse = lazy(async () => ({ default: (await import('../../drawings/LineCourse.tsx')).LineCourse }))

const days = 5
const usual: Climate = { roomC: 20, humidityPercent: 50 }

/** Share of the final bond over five days in this air, against ordinary air. */
export function BondCourse({ room, practice }: { readonly room: Climate; readonly practice: Practice }) {
  const t = useWords()
  const { roomC, humidityPercent } = room
  const chart = useMemo(() => {
    const course = (climate: Climate) =>
      Array.from({ length: 61 }, (_, i) => {
        const day = (days * i) / 60
        return [day, 100 * bondOver([{ minutes: day * 1440, climate }], practice)] as const
      })
    return {
      lines: [
        { name: t`this air`, points: course({ roomC, humidityPercent }), color: '--petrol' },
        { name: t`ordinary air`, points: course(usual), color: '--quiet', dashed: true },
      ],
      levels: [{ at: 95, text: t`full bond, ${percent(95)}`, color: '--good', below: true }],
    }
  }, [roomC, humidityPercent, practice, t])
  return (
    <Suspense fallback={<Busy text={t`Drawing`} />}>
      <LineCourse
        label={t`Share of the final bond over five days, in this air and in ordinary air`}
        lines={chart.lines}
        levels={chart.levels}
        xName={t`days (solid: this air; dashed: ${temperature(usual.roomC)}, ${percent(usual.humidityPercent)})`}
        yName={t`% of the bond`}
        yRange={range}
      />
    </Suspense>
  )
}
const range = [0, 100] as const
