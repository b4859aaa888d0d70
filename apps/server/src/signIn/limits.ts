/** How hard it is made to be somebody else. Four digits are 10 000 guesses: the number of tries is what protects them. */

/** Wrong PINs after which somebody is locked until a lead lets them choose a new one. */
export const mostWrong = 6
/** Wrong PINs that cost no waiting; each further one doubles the pause. */
export const wrongForFree = 2
export const firstPauseMs = 2_000

/** A long day in the shop: nobody signs in twice for it. */
export const sessionMs = 14 * 3600_000
/** Nobody has touched the screen for longer than the longest wait of a fit. */
export const idleMs = 5 * 3600_000
/** A session in use is noted no more often than this, so that looking does not write. */
export const noteUseMs = 5 * 60_000

/** From the lead's word to the PIN that is chosen. */
export const choosePinMs = 24 * 3600_000
/** From the code on the desk's screen to the tablet that sends it. */
export const pairingMs = 10 * 60_000
/** Wrong codes after which the offer ends. */
export const mostWrongCodes = 5
/** As long as browsers keep a cookie. */
export const tabletMs = 400 * 24 * 3600_000
