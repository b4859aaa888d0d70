import { selectAll } from 'css-select'
import type { CssNode, Declaration, Rule } from 'css-tree'

import { generate, parse } from './cssTree.ts'
import { parse as parseSelector, type Selector } from 'css-what'
import { type Document, Element } from 'domhandler'
import { textContent } from 'domutils'

/** More rules than a drawing has are not looked at. */
const mostRules = 2000
/** Selectors that ask for more than this about an element are not followed. */
const plainSelectors: ReadonlySet<string> = new Set(['tag', 'attribute', 'universal', 'descendant', 'child'])

interface Said {
  readonly value: string
  readonly rank: number
}

/** What the style sheets of a drawing and its elements say, as a browser weighs them: important, inline, by selector, by order, then attributes. */
export class Styles {
  private readonly said = new Map<Element, Map<string, Said>>()
  /** Rules that could not be followed. */
  passedOver = 0

  constructor(document: Document, sheets: readonly Element[]) {
    let order = 0
    for (const sheet of sheets)
      for (const rule of rulesOf(textContent(sheet))) {
        if (++order > mostRules) {
          this.passedOver++
          continue
        }
        this.take(document, rule, order)
      }
  }

  /** What stands for a property at an element itself; undefined where nothing says anything. */
  own(element: Element, property: string): string | undefined {
    const sheet = this.said.get(element)?.get(property)
    const inline = inlineOf(element).get(property)
    const best = [sheet, inline].filter((one) => one !== undefined).sort((a, b) => b.rank - a.rank)[0]
    return best?.value ?? element.attribs[property]
  }

  private take(document: Document, rule: Rule, order: number): void {
    const declared = declarationsOf(rule.block.children.toArray())
    const selectors = followed(generate(rule.prelude))
    if (selectors === null) {
      this.passedOver++
      return
    }
    for (const selector of selectors) {
      const rank = 1000 * weightOf(selector) + order
      for (const element of selectAll([selector] as never, document, { xmlMode: true })) {
        if (!(element instanceof Element)) continue
        const own = this.said.get(element) ?? new Map<string, Said>()
        for (const [property, { value, important }] of declared) {
          const ranked = rank + (important ? importantRank : 0)
          if (ranked >= (own.get(property)?.rank ?? 0)) own.set(property, { value, rank: ranked })
        }
        this.said.set(element, own)
      }
    }
  }
}

const inlineRank = 1e12
const importantRank = 1e13

function rulesOf(css: string): Rule[] {
  const rules: Rule[] = []
  const walk = (nodes: readonly CssNode[]): void => {
    for (const node of nodes) {
      if (node.type === 'Rule') rules.push(node)
      else if (node.type === 'Atrule' && node.name === 'media' && node.block !== null) {
        const media = node.prelude === null ? '' : generate(node.prelude)
        if (/^(all|screen)?$/.test(media)) walk(node.block.children.toArray())
      }
    }
  }
  const sheet = parse(css, { onParseError: () => {} })
  if (sheet.type === 'StyleSheet') walk(sheet.children.toArray())
  return rules
}

function declarationsOf(nodes: readonly CssNode[]): Map<string, { value: string; important: boolean }> {
  const declared = new Map<string, { value: string; important: boolean }>()
  for (const node of nodes) {
    if (node.type !== 'Declaration') continue
    const { property, value, important } = node as Declaration
    declared.set(property.toLowerCase(), { value: generate(value).trim(), important: important !== false })
  }
  return declared
}

function inlineOf(element: Element): Map<string, Said> {
  const { style } = element.attribs
  if (style === undefined) return new Map()
  const list = parse(style, { context: 'declarationList', onParseError: () => {} })
  const nodes = list.type === 'DeclarationList' ? list.children.toArray() : []
  return new Map(
    [...declarationsOf(nodes)].map(([property, { value, important }]) => [
      property,
      { value, rank: inlineRank + (important ? importantRank : 0) },
    ]),
  )
}

function followed(prelude: string): Selector[][] | null {
  try {
    const selectors = parseSelector(prelude)
    return selectors.every((one) => one.length <= 12 && one.every(({ type }) => plainSelectors.has(type)))
      ? selectors
      : null
  } catch {
    return null
  }
}

/** Ids before classes and attributes before names (CSS Selectors 4, section 17). */
function weightOf(selector: readonly Selector[]): number {
  let weight = 0
  for (const one of selector) {
    if (one.type === 'attribute') weight += one.name === 'id' && one.action === 'equals' ? 10_000 : 100
    else if (one.type === 'tag') weight += 1
  }
  return weight
}
