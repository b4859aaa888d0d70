import { counted } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { gunId, type Shop, type ShopChange } from '@truelay/contract'
import { usualGun } from '@truelay/core/heat'
import { Plus } from 'lucide-react'
import { Link } from 'react-router'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { ForRole } from '../frame/ForRole.tsx'

interface GunsProps {
  readonly shop: Shop
  readonly onChange: (change: ShopChange) => void
}

/** A name that no gun has: some may have gone off the list. */
function freeName(guns: Shop['guns']): string {
  for (let n = guns.length + 1; ; n++) if (guns.every(({ name }) => name !== `Gun ${n}`)) return `Gun ${n}`
}

/** The guns of the shop; plans count on the first. */
export function Guns({ shop, onChange }: GunsProps) {
  const t = useWords()
  const guns = shop.guns ?? []
  const add = () =>
    onChange({
      guns: {
        [gunId.parse(`gun-${crypto.randomUUID().slice(0, 8)}`)]: {
          name: freeName(guns),
          more: [...usualGun.gun.settings],
          spotMm: usualGun.gun.spotMm,
        },
      },
    })
  return (
    <ForRole least="installer">
      <section aria-labelledby="guns-title" className="mt-6 border-t border-hair pt-4">
        <h2 id="guns-title" className="label-strong text-lead">{t`Heat guns`}</h2>
        <ul>
          {guns.map((gun, i) => (
            <li key={gun.id} className="flex flex-wrap items-center gap-3 border-b border-hair py-2 text-body">
              <Link to={`/shop/guns/${gun.id}`} className="font-bold text-petrol underline">
                {gun.name}
              </Link>
              <span className="text-quiet">{t`${counted(gun.settings.length, '# setting', '# settings')}, ${gun.readings.length === 0 ? t`never read with a thermometer` : t`${counted(gun.readings.length, '# reading', '# readings')}`}${i === 0 ? t`. Plans count on this one.` : ''}`}</span>
              {i === 0 ? null : (
                <Button
                  look="quiet"
                  className="ml-auto"
                  onClick={() => onChange({ guns: { [gun.id]: { first: true } } })}
                >{t`Plan with this one`}</Button>
              )}
            </li>
          ))}
        </ul>
        <button type="button" onClick={add} className={`${buttonClass('plain')} mt-3`}>
          <Plus size={18} aria-hidden="true" /> {t`Another gun`}
        </button>
      </section>
    </ForRole>
  )
}
