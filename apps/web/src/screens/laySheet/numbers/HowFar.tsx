import type { Room } from '@truelay/core/align'
import type { PartPlan } from '@truelay/core/plan'
import { angle, length } from '@truelay/core/say'
import { Block } from '../../../ui/Block.tsx'
import { Quantity } from '../../../ui/Quantity.tsx'
import { useWords } from '../../../ui/words.ts'
import type { PlacedMargins } from '../usePlacedMargins.ts'

/** How far the piece may still be off before a rule breaks. */
export function HowFar({ placed, plan }: { readonly placed: PlacedMargins; readonly plan: PartPlan }) {
  const t = useWords()
  const { sideMm, upMm, turnDeg, firstToBreak } = placed.tolerance
  const holds = (placed.edges[0]?.outsideMm ?? 0) <= 0
  const nameOf = (edge: string) => plan.edges.find((e) => e.name === edge)?.label ?? edge
  const { directions } = plan
  if (!holds)
    return (
      <Block title={t`How far it may be off`}>
        <p>{t`No room now: the ${nameOf(placed.edges[0]?.edge ?? '')} is outside its rule.`}</p>
      </Block>
    )
  return (
    <Block title={t`How far it may still be off`}>
      <table className="w-full">
        <tbody>
          <RoomRow to={directions.left} room={sideMm} way="minus" />
          <RoomRow to={directions.right} room={sideMm} way="plus" />
          <RoomRow to={directions.up} room={upMm} way="plus" />
          <RoomRow to={directions.down} room={upMm} way="minus" />
          <tr>
            <th scope="row" className="text-left font-normal">{t`turned`}</th>
            <td className="text-right font-bold">
              ± <Quantity of={angle(Math.min(turnDeg.plus, turnDeg.minus), 2)} />
            </td>
          </tr>
        </tbody>
      </table>
      {firstToBreak === null ? null : (
        <p className="mt-0.5 text-note text-quiet">{t`The ${nameOf(firstToBreak.edge)} decides. Set it first.`}</p>
      )}
    </Block>
  )
}

function RoomRow({ to, room, way }: { readonly to: string; readonly room: Room; readonly way: 'plus' | 'minus' }) {
  const t = useWords()
  return (
    <tr>
      <th scope="row" className="text-left font-normal">{t`towards ${to}`}</th>
      <td className="whitespace-nowrap text-right font-bold">
        <Quantity of={length(room[way])} />
      </td>
    </tr>
  )
}
