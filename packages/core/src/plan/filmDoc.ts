import type { Practice } from '../practice/index.ts'
import type { FilmHandling } from '../lay/index.ts'
import { say, type Sentence } from '../say/index.ts'

export const filmTypes = ['paint film', 'lens tint', 'trim vinyl'] as const
export type FilmType = (typeof filmTypes)[number]
export const filmTypeWords: Readonly<Record<FilmType, Sentence>> = {
  'paint film': say`paint film`,
  'lens tint': say`lens tint`,
  'trim vinyl': say`trim vinyl`,
}

export const waysLaid = ['wet', 'dry'] as const
export type WayLaid = (typeof waysLaid)[number]

/** A film as the shelf knows it. */
export interface FilmDoc {
  readonly id: string
  readonly name: string
  readonly type: FilmType
  /** How it may be laid. */
  readonly laid: WayLaid
  readonly thicknessUm: number
  readonly handling: FilmHandling
  /** Share of light it lets through; lens tint only. */
  readonly transmission?: number | undefined
  /** A printed pattern, which warps when it is stretched. */
  readonly patterned?: boolean | undefined
  readonly damageC: number
}

/** Film that takes light worth telling from a lamp. */
export const isTint = ({ transmission }: Pick<FilmDoc, 'transmission'>, { tintBelow }: Practice): boolean =>
  transmission !== undefined && transmission < tintBelow / 100
