import type { HeatUse, Liquid, Tool } from '../plan/index.ts'
import { say, type Sentence } from '../say/index.ts'
import type { CureStepId } from './cureStepIds.ts'
import { type FaultStage, faultStages, type JudgedFilm } from './evidence.ts'

/** The place as a cure finds it. */
export interface CurePlace {
  readonly film: JudgedFilm
  readonly stage: FaultStage
  /** A lens that is cracked or crazed: no heat, no alcohol. */
  readonly delicate: boolean
  /** The part bears heat at all. */
  readonly takesHeat: boolean
}

/** What must be so for a step to be done without making it worse. */
interface Needs {
  /** The film comes off again. */
  readonly lift?: true
  readonly laid?: 'wet' | 'dry'
  readonly alcohol?: true
  /** Not earlier than this. */
  readonly from?: FaultStage
  /** Not later than this. */
  readonly until?: FaultStage
}

export interface CureStep {
  readonly says: Sentence
  readonly liquids?: readonly Liquid[]
  readonly tools?: readonly Tool[]
  /** By the heat plan of the part. */
  readonly heat?: HeatUse
  readonly needs?: Needs
}

const cureTable = {
  'lift there': {
    says: say`Lift it back to before the place, flat and slowly.`,
    tools: ['wet hands'],
    needs: { lift: true },
  },
  'warm and lift': {
    says: say`Warm it a little, then lift it back to before the place, flat and slowly.`,
    tools: ['heat gun'],
    heat: 'soften',
    needs: { lift: true, laid: 'dry' },
  },
  'lift dry': {
    says: say`Lift it back to before the place, flat and slowly; thin film tears.`,
    tools: ['dry gloves'],
    needs: { lift: true, laid: 'dry' },
  },
  'wet again': { says: say`Wet glue and part again.`, liquids: ['slip'], needs: { laid: 'wet', lift: true } },
  'flood with tack': {
    says: say`Flood it with tack.`,
    liquids: ['tack'],
    needs: { laid: 'wet', lift: true, alcohol: true },
  },
  'flood with water': {
    says: say`Flood it with distilled water.`,
    liquids: ['distilled water'],
    needs: { laid: 'wet', lift: true },
  },
  rinse: {
    says: say`Rinse the speck off the glue and wipe the part.`,
    liquids: ['slip'],
    needs: { laid: 'wet', lift: true },
  },
  'pick it off': {
    says: say`Take it off with the sticky side of a strip of film.`,
    tools: ['masking tape'],
    needs: { lift: true },
  },
  relax: { says: say`Let it hang free until the lines are gone.`, needs: { lift: true } },
  'pull out': {
    says: say`Pull outward so that the excess runs out, and lay it.`,
    tools: ['wet hands'],
    needs: { until: 'bonded' },
  },
  'saw along': {
    says: say`Saw along the edge, to and fro, with the squeegee at an angle; then firm passes.`,
    tools: ['tilted squeegee'],
    needs: { until: 'bonded' },
  },
  'lay by hand': {
    says: say`Lay it by hand first, then the squeegee.`,
    tools: ['soft squeegee'],
    needs: { until: 'bonded' },
  },
  'set to mark': {
    says: say`Set it to its marks, measure at the far end, and only then fix it.`,
    tools: ['rule'],
    needs: { lift: true },
  },
  'firm pass': {
    says: say`Firm pass, the blade steep, out to the edge.`,
    tools: ['firm squeegee'],
    needs: { until: 'bonded' },
  },
  'press out': {
    says: say`Press the moisture out with a cloth over the squeegee.`,
    tools: ['cloth over the squeegee'],
    needs: { laid: 'wet' },
  },
  'press dry': { says: say`Press it flat with the felt edge.`, tools: ['felt squeegee'], needs: { laid: 'dry' } },
  'flush edge': {
    says: say`Flush the edge with tack.`,
    liquids: ['tack'],
    needs: { laid: 'wet', alcohol: true, until: 'bonded' },
  },
  'warm and press': {
    says: say`Warm it, let it cool for a few seconds, and press it down.`,
    tools: ['heat gun', 'infra-red thermometer', 'cloth'],
    heat: 'soften',
    needs: { from: 'tacked' },
  },
  'warm from the deepest': {
    says: say`Warm it, and press it into the hollow from its deepest place outwards.`,
    tools: ['heat gun', 'infra-red thermometer', 'gloves'],
    heat: 'soften',
    needs: { from: 'tacked' },
  },
  'post-heat': {
    says: say`Heat it all over as in the heat plan, and let it cool.`,
    tools: ['heat gun', 'infra-red thermometer'],
    heat: 'post-heat',
    needs: { from: 'bonded' },
  },
  seal: {
    says: say`Seal the edge: the cloth or the wet glove follows the gun.`,
    tools: ['heat gun', 'infra-red thermometer', 'cloth'],
    heat: 'seal',
    needs: { from: 'bonded' },
  },
  'press by hand': { says: say`Hold it down with a warm palm for a minute, and look again.`, tools: ['dry gloves'] },
  prick: {
    says: say`Prick it at its rim with a fine needle, and press the air out towards the hole.`,
    tools: ['thin tool'],
    needs: { laid: 'dry', from: 'tacked' },
  },
  'draw out': {
    says: say`Draw the water out with a syringe from the nearest edge, and press it down.`,
    tools: ['syringe'],
    needs: { laid: 'wet', from: 'bonded' },
  },
  'leave it days': {
    says: say`Leave it: haze and bubbles as small as a pinhead leave through the film in days. Look again at the edge look.`,
    needs: { laid: 'wet', from: 'tacked' },
  },
  'let it grab': { says: say`Give it time in moving air, and press again.`, needs: { from: 'wet' } },
  'fresh tack': {
    says: say`Mix tack to the strength of the plan.`,
    liquids: ['tack'],
    needs: { laid: 'wet', alcohol: true },
  },
  'fresh slip': { says: say`Mix slip to the strength of the plan.`, liquids: ['slip'], needs: { laid: 'wet' } },
  'clean there': {
    says: say`Clean the part there, and let it dry.`,
    liquids: ['degreaser'],
    tools: ['lint-free cloth'],
    needs: { lift: true, alcohol: true },
  },
  'wash there': {
    says: say`Wash the part there, and let it dry.`,
    liquids: ['no-residue wash'],
    tools: ['lint-free cloth'],
    needs: { lift: true },
  },
  'pull apart wet': {
    says: say`Wet both sides and pull them apart flat and slowly.`,
    liquids: ['slip'],
    needs: { laid: 'wet' },
  },
  'pull apart dry': {
    says: say`Pull both sides apart flat and slowly, at a shallow angle.`,
    tools: ['dry gloves'],
    needs: { laid: 'dry' },
  },
  'cut the thread': { says: say`Cut the thread with a fresh segment; do not tear it.`, tools: ['knife', 'sharps box'] },
  'trim the rag': {
    says: say`Take the rag off in one stroke with a fresh segment, film cold.`,
    tools: ['knife', 'sharps box'],
    needs: { from: 'bonded' },
  },
  'let it cool': { says: say`Take the gun away and let it cool flat; press nothing while it is hot.` },
  'cover strip': {
    says: say`Cover it with a strip of the same film, its edge along the seam.`,
    tools: ['piece'],
    needs: { from: 'bonded' },
  },
  'leave what was': { says: say`It was there before: leave it, and show the finding to the customer.` },
} as const satisfies Record<CureStepId, CureStep>

export const cureStep = (id: CureStepId): CureStep => cureTable[id]

/** Film comes off again until it has bonded; dry film and lens tint until heat or a knife has been at it. */
export function comesOff({ film, stage }: Pick<CurePlace, 'film' | 'stage'>): boolean {
  if (stage === 'wet' || stage === 'tacked') return true
  return stage === 'bonded' && film.type !== 'paint film'
}

const at = (stage: FaultStage) => faultStages.indexOf(stage)

/** Whether a step can be done there and then without making it worse. */
export function canBeDone(id: CureStepId, place: CurePlace): boolean {
  const { needs = {}, heat } = cureStep(id)
  if (needs.lift === true && !comesOff(place)) return false
  if (needs.laid !== undefined && needs.laid !== place.film.laid) return false
  if (needs.alcohol === true && place.delicate) return false
  if (heat !== undefined && (place.delicate || !place.takesHeat)) return false
  if (needs.from !== undefined && at(place.stage) < at(needs.from)) return false
  return needs.until === undefined || at(place.stage) <= at(needs.until)
}
