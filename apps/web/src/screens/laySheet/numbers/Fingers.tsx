import type { LayMode } from '@truelay/core/lay'
import { inSpan, span } from '@truelay/core/say'
import { FingerBars } from '../../../drawings/FingerBars.tsx'
import { Block } from '../../../ui/Block.tsx'
import { useLaidPart } from '../LaidFrame.tsx'
import { useWords } from '../../../ui/words.ts'

/** Film left over along each edge, by itself or after the pulls. */
export function Fingers({ mode }: { readonly mode: LayMode }) {
  const t = useWords()
  const { first, full } = useLaidPart()
  const { plan } = full
  const { fingers } = mode === 'worked' ? full.worked : first.natural
  return (
    <Block
      title={
        mode === 'worked'
          ? t`Too much film left after the pulls, per ${span}`
          : t`Too much film if nobody pulls, per ${span}`
      }
    >
      <FingerBars
        rows={plan.edges.map((edge) => ({
          label: edge.label.replace(/ edge$/, ''),
          mmPer100: fingers.find((f) => f.edge === edge.name)?.excessMmPer100 ?? 0,
        }))}
        unit={t`per ${span} of edge`}
        show={(mmPer100) => t`${inSpan(mmPer100)}`}
      />
    </Block>
  )
}
