import { usualHandling } from '@truelay/core/lay'
import { recipes } from '@truelay/core/mix'
import { nothingChosen } from '@truelay/core/plan'
import { usualShop } from '../shop.ts'
import { planWithSentences } from './planWithSentences.ts'
import { asOld, asWritten, eachOld, type Old, withWords } from './upcastWords.ts'

/** A plan from before it said where its film comes from, and for how many hands it is. */
export function fitEventWithCut(event: unknown): unknown {
  const old = asOld(event)
  if (old.kind !== 'fitStarted') return event
  return { ...old, plan: { cut: { way: 'pre-cut', enlarged: [], sheet: null }, hands: 1, ...asOld(old.plan) } }
}

/** What was chosen for a part, from before one could choose where its film comes from and how many work on it. */
export const choicesWithCut = (choices: unknown): unknown => ({ cut: null, hands: null, ...asOld(choices) })
export const partWithCut = (part: unknown): unknown => {
  const old = asOld(part)
  return { ...old, choices: choicesWithCut(old.choices) }
}
export function jobBundleWithCut(bundle: unknown): unknown {
  const old = asOld(bundle)
  return { ...old, parts: eachOld(old.parts, partWithCut) }
}

/** What was chosen for a part, from before one could say what light is to be left. */
export const choicesWithLight = (choices: unknown): unknown => ({ light: null, ...asOld(choices) })
export const partWithLight = (part: unknown): unknown => {
  const old = asOld(part)
  return { ...old, choices: choicesWithLight(old.choices) }
}
export function jobBundleWithLight(bundle: unknown): unknown {
  const old = asOld(bundle)
  return { ...old, parts: eachOld(old.parts, partWithLight) }
}

/** A whole job from before parts could be fitted together. */
export const jobBundleWithSets = (bundle: unknown): unknown => ({ sets: [], ...asOld(bundle) })

/** The school whose name a bottle bore, where it bore one. */
const schoolCalled = (says: unknown) => recipes.find((recipe) => recipe.says.text === says)?.school ?? null

/** Events of a fit, from before sentences were data. */
export function fitEventWithSentences(event: unknown): unknown {
  const old = asOld(event)
  switch (old.kind) {
    case 'fitStarted':
      return { ...old, plan: planWithSentences(old.plan) }
    case 'batchMixed':
      return { add: [], ...withWords(old, 'says'), school: schoolCalled(old.says) }
    case 'bottleTaken':
      return withWords(old, 'says')
    default:
      return event
  }
}

/** Events of a fit, from before a gap to be set said which edge it belongs to. */
export function fitEventWithGapEdges(event: unknown): unknown {
  const old = asOld(event)
  if (old.kind !== 'fitStarted') return event
  const plan = asOld(old.plan)
  const anchors = eachOld(plan.anchors, (a) => ({ ...a, gaps: eachOld(a.gaps, (gap) => ({ edge: '', ...gap })) }))
  return { ...old, plan: { ...plan, anchors } }
}

/** Bottles of the bench, from before sentences were data. */
export const batchWithSentences = (batch: unknown): unknown => {
  const old = asOld(batch)
  return { ...withWords(old, 'says'), history: eachOld(old.history, (note) => withWords(note, 'says')) }
}

/** An order of laying, from before its places were sentences and it said how it was made. */
export function orderWithSentences(chosen: unknown): unknown {
  if (chosen === null || chosen === undefined) return null
  const old = asOld(chosen)
  const { name, ...order } = asOld(old.order)
  return {
    because: asWritten(old.because),
    order: {
      ...order,
      made: order.made ?? (name === order.school ? 'by school' : 'by search'),
      anchors: eachOld(order.anchors, (a) => withWords(a, 'label')),
      fromLabel: order.fromLabel === 'there' ? null : asWritten(order.fromLabel),
    },
  }
}

/** The shop's settings, from before a film's own figure took the place of the shop's, and full bond was named by its minutes. */
export function shopWithOneTake(shop: unknown): unknown {
  const old = asOld(shop)
  const { take: _, waitFullBondHours, ...practice } = asOld(old.practice)
  return {
    guns: [],
    ...old,
    practice: waitFullBondHours === undefined ? practice : { ...practice, waitFullBond: waitFullBondHours },
  }
}

/** The shop's settings, from before it told its places, its hours and its papers. */
export const shopWithPlaces = (shop: unknown): unknown => {
  const { address, places, hours, lensRules, warranty } = usualShop
  return { address, places, hours, lensRules, warranty, ...asOld(shop) }
}

/** Somebody from before roles were three, and before anybody could leave. */
export function personWithRole(person: unknown): unknown {
  const old = asOld(person)
  const role = String(old.role)
  const nearest = role.includes('lead') ? 'lead' : role.includes('new') ? 'new hand' : 'installer'
  return { hours: null, leftAt: null, ...old, role: nearest }
}

/** A job from before it could be taken off the list. */
export const jobWithRemoval = (job: unknown): unknown => ({ removedAt: null, ...asOld(job) })

/** A whole job from then. */
export function jobBundleWithRoles(bundle: unknown): unknown {
  const old = asOld(bundle)
  return {
    ...old,
    job: jobWithRemoval(old.job),
    shop: shopWithPlaces(old.shop),
    people: eachOld(old.people, personWithRole),
  }
}

/** Figures that a film was not asked for when it was kept take their usual value. */
export function filmWithAllFigures(film: unknown) {
  const old = asOld(film)
  return { ...old, handling: { ...usualHandling, ...asOld(old.handling) } }
}

/** A whole job from before a film said how it narrows and what it holds. */
export function jobBundleWithFilmFigures(bundle: unknown): unknown {
  const old = asOld(bundle)
  return { ...old, films: eachOld(old.films, filmWithAllFigures) }
}

/** A whole job as it was exported, from before sentences were data. */
export function jobBundleWithSentences(bundle: unknown): unknown {
  const old = asOld(bundle)
  return {
    ...old,
    shop: shopWithOneTake(old.shop),
    parts: eachOld(old.parts, (part: Old) => ({ ...part, order: orderWithSentences(part.order) })),
  }
}

/** A part from before anything could be chosen for it. */
export const partWithChoices = (part: unknown): unknown => ({ choices: nothingChosen, ...asOld(part) })

/** A whole job from then. */
export function jobBundleWithChoices(bundle: unknown): unknown {
  const old = asOld(bundle)
  return { ...old, parts: eachOld(old.parts, partWithChoices) }
}

/** Addresses of devices from before a plotter could be connected. */
export const devicesWithPlotter = (devices: unknown): unknown => ({ plotter: null, ...asOld(devices) })
/** Label printers came last. */
export const devicesWithLabels = (devices: unknown): unknown => ({ labelPrinter: null, ...asOld(devices) })
