import { useWords } from '../../ui/words.ts'
import { Pause, Play } from 'lucide-react'
import { useEffect, useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import type { ShownRehearsal } from '../../workers/rehearsalWork.ts'

interface PlayerProps {
  readonly a: ShownRehearsal | null
  readonly b: ShownRehearsal | null
  readonly at: number
  readonly onAt: (at: number) => void
}

const stepMs = 650

/** Plays both orders from the first tack to the last edge. */
export function Player({ a, b, at, onAt }: PlayerProps) {
  const t = useWords()
  const steps = Math.max(1, a?.rehearsal.steps.length ?? 0, b?.rehearsal.steps.length ?? 0)
  const value = Math.round(at * steps)
  const [playing, setPlaying] = useState(false)
  useEffect(() => {
    if (!playing) return
    if (value >= steps) {
      setPlaying(false)
      return
    }
    const timer = setTimeout(() => onAt((value + 1) / steps), stepMs)
    return () => clearTimeout(timer)
  }, [playing, value, steps, onAt])
  return (
    <div className="no-print flex items-center gap-4 border-t border-hair bg-paper px-4 py-2.5">
      <Button
        onClick={() => {
          if (!playing && value >= steps) onAt(0)
          setPlaying(!playing)
        }}
      >
        {playing ? <Pause size={20} /> : <Play size={20} />}
        {playing ? t`Hold` : t`Play`}
      </Button>
      <div className="min-w-0 flex-1">
        <input
          type="range"
          aria-label={t`How far it is laid`}
          aria-valuetext={t`${Math.round(100 * at)} per cent of the work`}
          min={0}
          max={steps}
          value={value}
          onChange={(event) => {
            setPlaying(false)
            onAt(Number(event.target.value) / steps)
          }}
          className="h-11 w-full accent-[var(--petrol)]"
        />
        <p className="label flex justify-between gap-4 text-note text-quiet">
          <span className="whitespace-nowrap">{t`first tack`}</span>
          <span className="text-center">{t`pale blue: film that floats. Heavy line: the front. Violet ticks: film left over`}</span>
          <span className="whitespace-nowrap">{t`last edge`}</span>
        </p>
      </div>
    </div>
  )
}
