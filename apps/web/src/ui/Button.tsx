import type { ButtonHTMLAttributes } from 'react'

export type ButtonLook = 'go' | 'plain' | 'quiet' | 'caution'

const looks: Record<ButtonLook, string> = {
  go: 'bg-petrol text-on-petrol border-petrol hover:bg-petrol-deep disabled:bg-bench disabled:text-quiet disabled:border-hair',
  plain:
    'bg-paper text-ink border-ink/50 hover:border-petrol hover:text-petrol disabled:text-quiet disabled:border-hair',
  quiet: 'bg-transparent text-petrol border-transparent hover:bg-petrol-tint disabled:text-quiet',
  caution: 'bg-amber-tint text-amber-ink border-amber hover:border-ink',
}

interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: ButtonLook
}

export const buttonClass = (look: ButtonLook = 'plain') =>
  `label-strong inline-flex min-h-11 items-center justify-center gap-2 rounded-md border px-4 text-body ${looks[look]}`

export function Button({ look = 'plain', className = '', type = 'button', ...rest }: ButtonProps) {
  return <button type={type} className={`${buttonClass(look)} ${className}`} {...rest} />
}
