import type { GunChanged, GunProfile, Shop } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { Trash2 } from 'lucide-react'
import { useNavigate } from 'react-router'
import { useChangeShopMutation } from '../../remote/shopApi.ts'
import { Button } from '../../ui/Button.tsx'
import { offerUndo } from '../../ui/undoOffer.ts'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'

/** All of a gun, as a change that puts it back. */
const whole = ({ name, spotMm, settings, readings }: GunProfile): GunChanged => ({
  name,
  spotMm,
  more: settings,
  ...(readings.length === 0 ? {} : { read: readings }),
})

/** Takes a gun that is worn out or sold off the list, with the way back: its readings come back with it. */
export function RemoveGun({ shop, gun }: { readonly shop: Shop; readonly gun: GunProfile }) {
  const t = useWords()
  const navigate = useNavigate()
  const [change, { error, isLoading }] = useChangeShopMutation()
  const wasFirst = shop.guns[0]?.id === gun.id
  const next = shop.guns.find(({ id }) => id !== gun.id)
  const go = async () => {
    const outcome = await change({ guns: { [gun.id]: null } })
    if (outcome.error !== undefined) return
    const said = say`${name(gun.name)} is off the list.`
    const counts = say`${name(gun.name)} is off the list. Plans count on ${name(next?.name ?? '')} now.`
    const usual = say`${name(gun.name)} is off the list. Plans count on a usual gun until there is another one.`
    offerUndo({
      said: !wasFirst ? said : next === undefined ? usual : counts,
      back: () => change({ guns: { [gun.id]: { ...whole(gun), ...(wasFirst ? { first: true } : {}) } } }),
    })
    void navigate('/shop')
  }
  return (
    <>
      <Button look="quiet" disabled={isLoading} onClick={() => void go()}>
        <Trash2 size={18} aria-hidden="true" /> {t`Take this gun off the list`}
      </Button>
      <WhatFailed error={error} />
    </>
  )
}
