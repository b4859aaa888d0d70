import { type ReactNode, useRef } from 'react'
import { Button } from './Button.tsx'

interface FileButtonProps {
  /** What the file is, for those who do not see the button. */
  readonly label: string
  readonly accept: string
  readonly onFiles: (files: readonly File[]) => void
  readonly children: ReactNode
  readonly className?: string
  readonly disabled?: boolean
  readonly multiple?: boolean
  /** Opens the camera on a tablet. */
  readonly camera?: boolean
}

/** A button that asks for a file; the same file may be chosen again. */
export function FileButton({
  label,
  accept,
  onFiles,
  children,
  className,
  disabled = false,
  multiple = false,
  camera = false,
}: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <Button onClick={() => input.current?.click()} disabled={disabled} {...(className ? { className } : {})}>
        {children}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        multiple={multiple}
        {...(camera ? { capture: 'environment' as const } : {})}
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])]
          event.target.value = ''
          if (files.length > 0) onFiles(files)
        }}
      />
    </>
  )
}
