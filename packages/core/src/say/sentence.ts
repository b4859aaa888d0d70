/**
 * A quantity or a name that a sentence carries: what it is, never how it is shown. Units, digits, language and number format are
 * chosen where it is read.
 */
export type Said =
  /** Signed; shown to a tenth of a millimetre below 100 mm unless `digits` says otherwise. */
  | { readonly kind: 'length'; readonly mm: number; readonly digits?: number | undefined }
  /** A run of film on its roll, signed: in metres or feet, as rolls are sold. */
  | { readonly kind: 'film length'; readonly mm: number }
  /** Film left over along an edge: mm on each 100 mm of it, shown for the shop's round span. */
  | { readonly kind: 'in span'; readonly mmPer100: number }
  /** The round length along an edge that film left over is counted on: about 100 mm. */
  | { readonly kind: 'span' }
  | { readonly kind: 'area'; readonly mm2: number }
  | { readonly kind: 'temperature'; readonly c: number; readonly digits?: number | undefined }
  /** A difference of two temperatures. */
  | { readonly kind: 'warmer'; readonly c: number }
  | { readonly kind: 'volume'; readonly ml: number }
  /** Soap in a liquid. */
  | { readonly kind: 'per litre'; readonly mlPerL: number }
  /** 12 = 12 %. */
  | { readonly kind: 'percent'; readonly percent: number; readonly digits?: number | undefined }
  /** Counter-clockwise positive where it is signed. */
  | { readonly kind: 'angle'; readonly deg: number; readonly digits?: number | undefined }
  | { readonly kind: 'force'; readonly n: number }
  | { readonly kind: 'speed'; readonly mmPerS: number }
  | { readonly kind: 'duration'; readonly minutes: number; readonly in: 'seconds' | 'minutes' | 'hours' | 'days' }
  /** A moment of which the time of day matters, ISO 8601. */
  | { readonly kind: 'clock'; readonly at: string }
  /** A moment of which the day matters, ISO 8601: "Saturday 30 November". */
  | { readonly kind: 'day'; readonly at: string }
  /** A whole number that the words around it agree with. */
  | { readonly kind: 'count'; readonly n: number }
  /** A bare figure. */
  | { readonly kind: 'figure'; readonly value: number; readonly digits: number }
  /** Of an edge, a part, a person, a film: data, the same in every language. */
  | { readonly kind: 'name'; readonly name: string }
  /** Names or clauses one after the other, with "and" before the last. */
  | { readonly kind: 'list'; readonly of: readonly Sentence[] }
  | { readonly kind: 'sentence'; readonly sentence: Sentence; readonly begins?: boolean | undefined }

/** What is measured, and therefore shown in the shop's units. */
export type Measure = Extract<
  Said,
  {
    kind:
      | 'length'
      | 'film length'
      | 'in span'
      | 'area'
      | 'temperature'
      | 'warmer'
      | 'volume'
      | 'per litre'
      | 'force'
      | 'speed'
      | 'percent'
      | 'angle'
  }
>

/**
 * Words as data: the text as the rule says it, with numbered places (`{0}`) for what it carries, in the syntax of ICU messages. The
 * text is the key of a translation.
 */
export interface Sentence {
  readonly text: string
  readonly with: readonly Said[]
  /** As it stood on the screen when it was kept; only in logs. */
  readonly shown?: string | undefined
}

/** What may stand in a sentence: a quantity, another sentence, or words that agree with a count. */
export type Spoken = Said | Sentence | CountedWords

/** A count with the words that agree with it; `#` is the figure. */
export interface CountedWords {
  readonly kind: 'counted'
  readonly n: number
  readonly one: string
  readonly other: string
}

/**
 * A sentence in place: `` say`Lift ${length(25)} at ${name(edge.label)}` ``. Text outside `${}` is what a translator sees; bare strings and
 * numbers are not accepted inside, so that nothing reaches a screen without its kind.
 */
export function say(text: TemplateStringsArray, ...spoken: readonly Spoken[]): Sentence {
  const said: Said[] = []
  const key = text.reduce((whole, piece, i) => {
    const value = spoken[i - 1]
    if (value === undefined) return whole + piece
    const place = said.length
    if ('kind' in value && value.kind === 'counted') {
      said.push({ kind: 'count', n: value.n })
      return `${whole}{${place}, plural, one {${value.one}} other {${value.other}}}${piece}`
    }
    said.push('kind' in value ? value : { kind: 'sentence', sentence: value })
    return `${whole}{${place}}${piece}`
  })
  return { text: key, with: said }
}

/** Words that were typed by somebody, or kept before sentences were data: the same in every language. */
export const verbatim = (words: string): Sentence => ({ text: '{0}', with: [name(words)] })

/** Sentences one after the other; what is null or false is left out. */
export function paragraph(...sentences: readonly (Sentence | null | undefined | false)[]): Sentence {
  const kept = sentences.filter((s): s is Sentence => s !== null && s !== undefined && s !== false && !isEmpty(s))
  const [only] = kept
  if (only !== undefined && kept.length === 1) return only
  return {
    text: kept.map((_, i) => `{${i}}`).join(' '),
    with: kept.map((sentence) => ({ kind: 'sentence', sentence })),
  }
}

/** Clauses of one sentence, one after the other. */
export const clauses = (of: readonly Sentence[]): Sentence => ({
  text: of.map((_, i) => `{${i}}`).join('; '),
  with: of.map((sentence) => ({ kind: 'sentence', sentence })),
})

/** No words at all. */
export const nothing: Sentence = { text: '', with: [] }
export const isEmpty = (sentence: Sentence) => sentence.text === ''

/** Whether two sentences say the same of the same. */
export const sameSentence = (a: Sentence, b: Sentence) => keyOf(a) === keyOf(b)

/** The first of each that say the same. */
export function distinct(sentences: readonly Sentence[]): Sentence[] {
  const first = new Map<string, Sentence>()
  for (const sentence of sentences) if (!first.has(keyOf(sentence))) first.set(keyOf(sentence), sentence)
  return [...first.values()]
}

const keyOf = ({ text, with: said }: Sentence) => JSON.stringify([text, said])

export const length = (mm: number, digits?: number): Measure =>
  digits === undefined ? { kind: 'length', mm } : { kind: 'length', mm, digits }
/** A run of film on its roll, in metres or feet. */
export const filmLength = (mm: number): Measure => ({ kind: 'film length', mm })
export const inSpan = (mmPer100: number): Measure => ({ kind: 'in span', mmPer100 })
export const span: Said = { kind: 'span' }
export const area = (mm2: number): Measure => ({ kind: 'area', mm2 })
export const temperature = (c: number, digits?: number): Measure =>
  digits === undefined ? { kind: 'temperature', c } : { kind: 'temperature', c, digits }
export const warmer = (c: number): Measure => ({ kind: 'warmer', c })
export const volume = (ml: number): Measure => ({ kind: 'volume', ml })
export const perLitre = (mlPerL: number): Measure => ({ kind: 'per litre', mlPerL })
export const percent = (value: number, digits?: number): Measure =>
  digits === undefined ? { kind: 'percent', percent: value } : { kind: 'percent', percent: value, digits }
export const angle = (deg: number, digits?: number): Measure =>
  digits === undefined ? { kind: 'angle', deg } : { kind: 'angle', deg, digits }
export const force = (n: number): Measure => ({ kind: 'force', n })
export const speed = (mmPerS: number): Measure => ({ kind: 'speed', mmPerS })
export const seconds = (s: number): Said => ({ kind: 'duration', minutes: s / 60, in: 'seconds' })
export const minutes = (m: number): Said => ({ kind: 'duration', minutes: m, in: 'minutes' })
export const hours = (h: number): Said => ({ kind: 'duration', minutes: 60 * h, in: 'hours' })
export const days = (d: number): Said => ({ kind: 'duration', minutes: 1440 * d, in: 'days' })
export const clock = (at: Date | string): Said => ({
  kind: 'clock',
  at: typeof at === 'string' ? at : at.toISOString(),
})
export const day = (at: Date | string): Said => ({ kind: 'day', at: typeof at === 'string' ? at : at.toISOString() })
export const count = (n: number): Said => ({ kind: 'count', n })
/** Words that agree with a number: `counted(n, '# corner', '# corners')`. */
export const counted = (n: number, one: string, other: string): CountedWords => ({ kind: 'counted', n, one, other })
export const figure = (value: number, digits = 0): Said => ({ kind: 'figure', value, digits })
export const name = (words: string): Said => ({ kind: 'name', name: words })
export const list = (of: readonly (Sentence | string)[]): Said => ({
  kind: 'list',
  of: of.map((item) => (typeof item === 'string' ? verbatim(item) : item)),
})
/** A sentence at the beginning of another one: with a capital. */
export const atStart = (sentence: Sentence | string): Said => ({
  kind: 'sentence',
  sentence: typeof sentence === 'string' ? verbatim(sentence) : sentence,
  begins: true,
})

/** Every sentence and every name in it, for tests that look through words. */
export function* saidIn(sentence: Sentence): Generator<Said> {
  for (const said of sentence.with) {
    yield said
    if (said.kind === 'sentence') yield* saidIn(said.sentence)
    if (said.kind === 'list') for (const item of said.of) yield* saidIn(item)
  }
}
