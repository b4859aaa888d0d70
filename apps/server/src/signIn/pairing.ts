import { say } from '@truelay/core/say'
import { Refused } from '../reply/reply.ts'
import { mostWrongCodes, pairingMs } from './limits.ts'
import { newCode, plainCode } from './tokens.ts'

/** The one offer at a time to take a tablet into the shop. It lives as long as the server, and no longer than a few minutes. */
export class Pairing {
  private offer: { readonly code: string; readonly until: Date; wrong: number } | null = null

  open(at: Date): { readonly code: string; readonly until: Date } {
    this.offer = { code: newCode(), until: new Date(at.getTime() + pairingMs), wrong: 0 }
    return this.offer
  }

  /** Uses the offer up. Throws `Refused` for another code, and for any once it is over. */
  accept(code: string, at: Date): void {
    const { offer } = this
    if (offer === null || offer.until <= at || offer.wrong >= mostWrongCodes) throw noOffer()
    if (plainCode(code) !== plainCode(offer.code)) {
      offer.wrong++
      throw offer.wrong >= mostWrongCodes ? noOffer() : wrongCode()
    }
    this.offer = null
  }
}

const noOffer = () =>
  new Refused({
    code: 'NO_PAIRING',
    sentence: say`No tablet is expected just now.`,
    fix: say`Ask a lead for a new code: Shop, Tablets.`,
  })
const wrongCode = () =>
  new Refused({
    code: 'PAIRING_WRONG',
    sentence: say`That is not the code.`,
    fix: say`Compare it with the one at the desk, sign by sign.`,
  })
