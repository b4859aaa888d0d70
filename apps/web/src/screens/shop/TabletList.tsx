import type { PairingOffer } from '@truelay/contract'
import { clock, name } from '@truelay/core/say'
import { useState } from 'react'
import { Link } from 'react-router'
import { useSessionQuery } from '../../remote/api.ts'
import { useOfferPairingMutation, useTabletsQuery, useTurnAwayMutation } from '../../remote/signInApi.ts'
import { Button } from '../../ui/Button.tsx'
import { dayText } from '../../ui/clockText.ts'
import { Modal } from '../../ui/Modal.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { SquareCode } from '../../ui/SquareCode.tsx'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { ForRole } from '../frame/ForRole.tsx'

/** Screens that belong to the shop: how one is taken in, and turned away. */
export function TabletList() {
  const t = useWords()
  const { data: session } = useSessionQuery()
  const toNetwork = session?.needed === true
  return (
    <ForRole least="lead" quietly>
      <section aria-labelledby="tablets-title" className="mt-6 border-t border-hair pt-4">
        <h2 id="tablets-title" className="label-strong text-lead">{t`Tablets`}</h2>
        {toNetwork ? (
          <OnTheNetwork />
        ) : (
          <p className="mt-1 max-w-[44rem] text-body">{t`This server answers on its own machine only, and nobody has to sign in. Started with “./truelay start --network” it lets tablets of the shop in, with a name and a PIN for everybody.`}</p>
        )}
        <p className="mt-2">
          <Link
            to="/shop/changes"
            className="inline-flex min-h-11 items-center text-body text-petrol underline underline-offset-4"
          >{t`Who changed what`}</Link>
        </p>
      </section>
    </ForRole>
  )
}

function OnTheNetwork() {
  const t = useWords()
  const { data: tablets = [] } = useTabletsQuery()
  const [offerOne, { error, isLoading }] = useOfferPairingMutation()
  const [turnAway] = useTurnAwayMutation()
  const [offer, setOffer] = useState<PairingOffer | null>(null)
  const begin = async () => {
    const { data } = await offerOne()
    if (data !== undefined) setOffer(data)
  }
  return (
    <>
      <WhatFailed error={error} />
      <ul>
        {tablets.map((one) => (
          <li key={one.id} className="flex flex-wrap items-center gap-4 border-b border-hair py-2 text-body">
            <span className="font-bold">{one.name}</span>
            <span className="text-quiet">
              {one.seenAt === null
                ? t`taken in on ${name(dayText(one.pairedAt))}, nobody has signed in on it`
                : t`last signed in on ${name(dayText(one.seenAt))}`}
            </span>
            <Button
              look="quiet"
              className="ml-auto"
              onClick={() => void turnAway(one.id)}
            >{t`Turn ${one.name} away`}</Button>
          </li>
        ))}
      </ul>
      <p className="mt-3">
        <Button disabled={isLoading} onClick={() => void begin()}>{t`Take a tablet in`}</Button>
      </p>
      <Modal
        open={offer !== null}
        title={t`Take a tablet in`}
        onClose={() => setOffer(null)}
        actions={<Button onClick={() => setOffer(null)}>{t`Close`}</Button>}
      >
        {offer === null ? null : <Offer offer={offer} />}
      </Modal>
    </>
  )
}

function Offer({ offer }: { readonly offer: PairingOffer }) {
  const t = useWords()
  const [address] = offer.addresses
  const [certificateAt] = offer.certificateAt
  if (address === undefined || certificateAt === undefined)
    return (
      <Notice look="caution">{t`This machine has no address on a private network. Connect it to the shop’s network; the code appears here then.`}</Notice>
    )
  return (
    <div className="mt-4 grid min-h-0 gap-8 overflow-auto sm:grid-cols-2">
      <div>
        <h3 className="label-strong text-lead">{t`Once for each tablet: the certificate`}</h3>
        <SquareCode of={certificateAt} className="mt-2 size-44" />
        <p className="mt-1 text-body break-all">{certificateAt}</p>
        <p className="mt-2 text-note text-quiet">{t`The page there leads through it. Without it the tablet warns, and cannot work while the server is away. It has to show these signs:`}</p>
        <p className="font-mono text-note break-words">{offer.fingerprint}</p>
      </div>
      <div>
        <h3 className="label-strong text-lead">{t`Then the app, with the code`}</h3>
        <SquareCode of={`${address}/#${offer.code}`} className="mt-2 size-44" />
        <p className="mt-1 text-body break-all">{address}</p>
        <p className="mt-2 text-figure leading-none font-bold tracking-wider whitespace-nowrap">{offer.code}</p>
        <p className="mt-2 text-note text-quiet">{t`Good once, until ${clock(offer.until)}.`}</p>
      </div>
    </div>
  )
}
