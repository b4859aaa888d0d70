import type { Role } from '@truelay/contract'
import { name, say, type Sentence } from '@truelay/core/say'

interface Asked {
  readonly method: string
  /** Below /api. */
  readonly path: string
  readonly body: unknown
}

/** Something that can be changed: who may at the least, and how it is told afterwards. */
interface Deed {
  readonly least: Role
  /** Null where the thing itself keeps who did it and when. */
  readonly says: ((at: readonly string[], body: Body) => Sentence) | null
}
type Body = Readonly<Record<string, unknown>>

const kept: Deed = { least: 'new hand', says: null }
const keptByInstallers: Deed = { least: 'installer', says: null }
const done = (least: Role, says: Deed['says']): Deed => ({ least, says })

/** What of the shop an installer changes at work: how it looks, the guns, what stands on the bench. */
const ofTheWork = new Set(['theme', 'guns', 'stockAlcoholPercent', 'units'])
const shopDeed = (body: Body): Deed =>
  done(
    Object.keys(body).every((key) => ofTheWork.has(key)) ? 'installer' : 'lead',
    (_, changed) => say`the shop: ${name(fieldsOf(changed).join(', '))}`,
  )

/** Of the practice its own figures are named. */
const fieldsOf = (body: Body): string[] =>
  Object.entries(body).flatMap(([key, value]) =>
    key === 'practice' && typeof value === 'object' && value !== null
      ? Object.keys(value).map((figure) => `practice ${figure}`)
      : [key],
  )

const removal =
  (removed: (id: string) => Sentence, back: (id: string) => Sentence): Deed['says'] =>
  ([id = ''], body) =>
    body.removed === true || body.dropped === true ? removed(id) : back(id)

/** Every way to change something, by its method and address. */
const deeds: Readonly<Record<string, Deed | ((body: Body) => Deed)>> = {
  'POST /photos': kept,
  'POST /fits/missing': kept,
  'POST /parts/:part/fit': kept,
  'PUT /jobs/:job/findings/:finding': kept,
  'DELETE /jobs/:job/findings/:finding': done('new hand', ([job = '']) => say`a finding taken off job ${name(job)}`),
  'PUT /jobs/:job/kit-check/:piece': kept,
  'POST /plotter/test-square': done('installer', () => say`a test square cut`),
  'POST /labels': done('new hand', () => say`labels printed`),
  'POST /stock/rolls': done('installer', (_, body) => say`a roll put on the shelf, lot ${name(text(body.lot))}`),
  'PUT /stock/rolls/:roll': done('installer', ([roll = '']) => say`what is written of roll ${name(roll)}`),
  'POST /stock/rolls/:roll/lines': kept,
  'POST /jobs/:job/cuts': done('installer', ([job = '']) => say`pieces cut for job ${name(job)}`),
  'PUT /batches/:batch': kept,
  'POST /batches/:batch/changes': kept,
  'POST /blades': kept,
  'POST /exercises': kept,
  'POST /room': kept,
  'PUT /parts/:part/shift': kept,
  'PUT /supplies': keptByInstallers,

  'PUT /day/wishes': done('installer', () => say`wishes for the plan of the day`),
  'POST /jobs': done('installer', (_, body) => say`a new job, plate ${name(text(body.plate))}`),
  'POST /jobs/:job/visits': done('installer', ([job = '']) => say`a come-back visit of job ${name(job)}`),
  'PATCH /jobs/:job': done(
    'installer',
    ([job = ''], body) => say`job ${name(job)}: ${name(fieldsOf(body).join(', '))}`,
  ),
  'PUT /jobs/:job/hand-over': done('installer', ([job = '']) => say`job ${name(job)} handed over`),
  'PUT /parts/:part/light-acknowledged': kept,
  'PUT /jobs/:job/closed': done('installer', ([job = ''], body) =>
    body.closed === true ? say`job ${name(job)} handed over` : say`job ${name(job)} opened again`,
  ),
  'PUT /jobs/:job/removed': done(
    'lead',
    removal(
      (job) => say`job ${name(job)} removed`,
      (job) => say`job ${name(job)} brought back`,
    ),
  ),
  'PUT /jobs/:job/sign-off': done('installer', ([job = '']) => say`the walk-round of job ${name(job)} signed`),
  'PUT /jobs/:job/sets': done('installer', ([job = '']) => say`the sets of job ${name(job)}`),
  'POST /jobs/:job/parts': done('installer', ([job = '']) => say`a part added to job ${name(job)}`),
  'POST /memory/borrowed': done('lead', (_, body) => say`what fits teach brought in from ${name(text(body.says))}`),
  'DELETE /memory/borrowed/:file': done('lead', () => say`what fits of another shop teach forgotten`),
  'PUT /memory/forgotten': done('lead', (_, body) =>
    body.forgotten === true
      ? say`what fits at ${name(text(body.slot))} of ${name(text(body.modelId))} taught forgotten`
      : say`what fits at ${name(text(body.slot))} of ${name(text(body.modelId))} taught counts again`,
  ),
  'PUT /parts/:part/dropped': done(
    'installer',
    removal(
      (part) => say`part ${name(part)} left out`,
      (part) => say`part ${name(part)} back in its job`,
    ),
  ),
  'PUT /parts/:part/film': done('installer', ([part = '']) => say`the film of part ${name(part)}`),
  'PUT /parts/:part/form': done('installer', ([part = '']) => say`the form of part ${name(part)}`),
  'PUT /parts/:part/piece': done('installer', ([part = '']) => say`the piece of part ${name(part)}`),
  'PUT /parts/:part/order': done('installer', ([part = '']) => say`the order of laying of part ${name(part)}`),
  'PATCH /parts/:part/choices': done('installer', ([part = '']) => say`how part ${name(part)} is worked`),

  'PUT /forms/:form': done('installer', ([form = '']) => say`the form ${name(form)}`),
  'POST /models': done('installer', (_, body) => say`the model ${name(text(body.name))} added`),
  'PUT /models/:model': done('installer', ([model = '']) => say`the model ${name(model)}`),
  'PUT /kits/:kit': done('installer', ([kit = '']) => say`the kit ${name(kit)}`),
  'PUT /kits/:kit/whole': done('installer', ([kit = '']) => say`the kit ${name(kit)} with its pieces`),
  'PUT /pieces/:piece': done('installer', ([piece = '']) => say`the piece ${name(piece)}`),
  'POST /films': done('installer', (_, body) => say`the film ${name(text(body.name))} added`),
  'PUT /films/:film': done('installer', ([film = '']) => say`figures of the film ${name(film)}`),
  ...Object.fromEntries(
    ['films', 'pieces', 'kits', 'forms', 'models'].map((kind) => [
      `PUT /${kind}/:id/removed`,
      done(
        'installer',
        removal(
          (id) => say`${name(id)} taken off the ${name(kind)}`,
          (id) => say`${name(id)} back among the ${name(kind)}`,
        ),
      ),
    ]),
  ),

  'POST /shop': done('lead', () => say`the shop opened`),
  'PATCH /shop': shopDeed,
  'POST /people': done('lead', (_, body) => say`${name(text(body.name))} began to work here`),
  'PATCH /people/:person': done(
    'lead',
    ([person = ''], body) => say`${name(person)}: ${name(fieldsOf(body).join(', '))}`,
  ),
  'PUT /people/:person/new-pin': done('lead', ([person = '']) => say`${name(person)} may choose a new PIN`),
  'POST /pairing': done('lead', () => say`a tablet invited`),
  'PUT /tablets/:tablet/removed': done('lead', () => say`a tablet turned away`),
  'PUT /devices': done('lead', () => say`the addresses of the devices`),
  'POST /backups': done('lead', () => say`a backup made`),
  'POST /customers/forgotten': done('lead', () => say`a customer’s personal data taken out`),
}

const text = (value: unknown): string => (typeof value === 'string' ? value.slice(0, 60) : '')

const patterns = Object.entries(deeds).map(([key, deed]) => {
  const [method = '', path = ''] = key.split(' ')
  return { method, path: new RegExp(`^${path.replace(/:\w+/g, '([^/]+)')}/?$`), deed }
})

/** What a request would change; null where this is not known, as of a way that is new. */
export function deedOf({ method, path, body }: Asked): { least: Role; says: Sentence | null } | null {
  const sent: Body = typeof body === 'object' && body !== null ? (body as Body) : {}
  for (const known of patterns) {
    const found = known.method === method ? known.path.exec(path) : null
    if (found === null) continue
    const deed = typeof known.deed === 'function' ? known.deed(sent) : known.deed
    return { least: deed.least, says: deed.says?.(found.slice(1).map(decoded), sent) ?? null }
  }
  return null
}

const decoded = (part: string): string => {
  try {
    return decodeURIComponent(part)
  } catch {
    return part
  }
}
