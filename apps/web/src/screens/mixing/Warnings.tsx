import { Notice } from '../../ui/Notice.tsx'

/** Cautions of a mix, each in its own bar. */
export function Warnings({ warnings }: { readonly warnings: readonly (string | null)[] }) {
  const said = [...new Set(warnings.filter((w) => w !== null))]
  if (said.length === 0) return null
  return (
    <div className="mt-3 grid gap-2">
      {said.map((warning) => (
        <Notice key={warning} look="caution">
          {warning}
        </Notice>
      ))}
    </div>
  )
}
