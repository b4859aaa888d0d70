import type { InputHTMLAttributes, ReactNode, Ref, SelectHTMLAttributes } from 'react'

interface FieldProps {
  readonly label: string
  readonly problem?: string | undefined
  readonly children: ReactNode
}

/** A label, what is typed under it, and what is wrong with it; the name of the field stays its label. */
export function Field({ label, problem, children }: FieldProps) {
  return (
    <div>
      {/* biome-ignore lint/a11y/noLabelWithoutControl: the control is among the children */}
      <label className="block">
        <span className="label block text-note text-quiet">{label}</span>
        {children}
      </label>
      {problem === undefined ? null : (
        <span role="alert" className="mt-1 block text-note text-stop">
          {problem}
        </span>
      )}
    </div>
  )
}

const box = 'min-h-11 w-full border border-ink/40 bg-paper px-2.5 text-body'

export const TextInput = ({
  ref,
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & { readonly ref?: Ref<HTMLInputElement> }) => (
  <input ref={ref} autoComplete="off" {...rest} className={`${box} ${rest.className ?? ''}`} />
)

export const SelectInput = ({
  ref,
  ...rest
}: SelectHTMLAttributes<HTMLSelectElement> & { readonly ref?: Ref<HTMLSelectElement> }) => (
  <select ref={ref} {...rest} className={`${box} ${rest.className ?? ''}`} />
)
