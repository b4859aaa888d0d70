import { pin as pinSchema } from '@truelay/contract'
import { Delete } from 'lucide-react'
import { useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { useWords } from '../../ui/words.ts'

const digits = ['1', '2', '3', '4', '5', '6', '7', '8', '9']

interface PinPadProps {
  readonly label: string
  /** On the button that ends it. */
  readonly done: string
  readonly busy: boolean
  readonly onPin: (pin: string) => void
}

/** Digits for a wet thumb; a keyboard does as well. */
export function PinPad({ label, done, busy, onPin }: PinPadProps) {
  const t = useWords()
  const [typed, setTyped] = useState('')
  const whole = pinSchema.safeParse(typed).success
  const add = (digit: string) => setTyped((now) => (now + digit).slice(0, 12))
  const key = 'h-16 text-title font-bold'
  return (
    <form
      className="w-72"
      onSubmit={(event) => {
        event.preventDefault()
        if (!whole) return
        onPin(typed)
        setTyped('')
      }}
    >
      <label className="block">
        <span className="label block text-note text-quiet">{label}</span>
        <input
          // biome-ignore lint/a11y/noAutofocus: the one thing to do here is to type it
          autoFocus
          type="password"
          inputMode="numeric"
          autoComplete="off"
          value={typed}
          maxLength={12}
          onChange={(event) => setTyped(event.target.value.replace(/\D/g, ''))}
          className="min-h-14 w-full border border-ink/40 bg-paper px-3 mt-2 text-center text-title tracking-[0.4em]"
        />
      </label>
      <div className="mt-3 grid grid-cols-3 gap-2">
        {digits.map((digit) => (
          <Button key={digit} className={key} onClick={() => add(digit)}>
            {digit}
          </Button>
        ))}
        <Button className={key} aria-label={t`Take the last digit back`} onClick={() => setTyped(typed.slice(0, -1))}>
          <Delete size={26} aria-hidden />
        </Button>
        <Button className={key} onClick={() => add('0')}>
          0
        </Button>
        <Button type="submit" look="go" className={key} disabled={!whole || busy}>
          {done}
        </Button>
      </div>
    </form>
  )
}
