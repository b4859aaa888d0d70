import { filmDoc, formDoc } from '@truelay/contract'
import {
  compareOrders,
  explainBetter,
  orderBySchool,
  orderMatters,
  orderName,
  orderWords,
  type PreparedStage,
  type Rehearsal,
  rehearse,
  type SchoolName,
  schoolNames,
  searchOrder,
  setSearchStages,
  setStage,
} from '@truelay/core/lay'
import { BadInput, readDocument, valueOrBadInput } from '../input.ts'
import { nothing } from '@truelay/core/say'

/** What may stand behind `--order`. */
export type OrderWish = SchoolName | 'search' | 'all'

export function orderWish(word: string): OrderWish {
  const known: readonly string[] = [...schoolNames, 'search', 'all']
  if (!known.includes(word)) throw new BadInput(`--order "${word}" is not known: use one of ${known.join(', ')}`)
  return word as OrderWish
}

/** `lay FORM.json --film FILM.json --order SCHOOL|all|search`: film laid on a form in an order of work. */
export function rehearsal(file: string | undefined, filmFile: string | undefined, wish: OrderWish) {
  if (filmFile === undefined) throw new BadInput('lay --order needs --film FILM.json: what the film can do')
  const form = readDocument(file, formDoc)
  const film = readDocument(filmFile, filmDoc)
  const fine = valueOrBadInput(setStage(form, film))
  if (wish !== 'all' && wish !== 'search') return { form: form.id, film: film.id, orders: [told(bySchool(fine, wish))] }
  const { best, schools, because, tried, matters } = searched(fine, wish === 'search' ? undefined : 0)
  const first = schools[0]
  return {
    form: form.id,
    film: film.id,
    orders: schools.map(told),
    matters,
    ...(wish === 'all'
      ? {}
      : {
          best: told(best),
          because,
          tried,
          changes: first === undefined ? [] : compareOrders(form, first.figures, best.figures, film.patterned),
        }),
  }
}

const bySchool = (stage: PreparedStage, school: SchoolName) =>
  rehearse(stage, orderBySchool(school, stage.form, stage.surface))

/** All schools, least trouble first, and the best order that a search finds. */
export function searched(fine: PreparedStage, tries?: number) {
  const { form, patterned } = fine
  if (tries === 0) {
    const schools = schoolNames
      .map((school) => bySchool(fine, school))
      .sort((a, b) => a.figures.trouble - b.figures.trouble)
    const best = schools[0] ?? bySchool(fine, 'centre out')
    return { best, schools, because: nothing, tried: schools.length, matters: orderMatters(fine.surface, schools) }
  }
  const search = searchOrder(valueOrBadInput(setSearchStages(fine)))
  let next = search.next()
  while (!next.done) next = search.next()
  const { best, schools, tried, matters } = next.value
  return { best, schools, tried, matters, because: explainBetter(form, schools[0] ?? best, best, patterned) }
}

const told = ({ order, steps, figures, flipped }: Rehearsal) => ({
  school: order.school,
  name: orderName(order),
  words: orderWords(order),
  order,
  flipped,
  figures,
  steps: steps.map(({ front: _, ...step }) => step),
})
