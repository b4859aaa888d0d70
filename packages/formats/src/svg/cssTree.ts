import type { generate as Generate, parse as Parse } from 'css-tree'
// @ts-expect-error its types describe only the whole package
import ownGenerate from 'css-tree/generator'
// @ts-expect-error its types describe only the whole package
import ownParse from 'css-tree/parser'

/** The parts of css-tree that are used here, without its dictionary of properties, which is larger than all readers together. */
export const generate = ownGenerate as typeof Generate
export const parse = ownParse as typeof Parse
