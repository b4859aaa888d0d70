/** The pages of the guide, in their order, by their short names. */
export const guidePages = [
  'open-the-shop',
  'take-a-vehicle-in',
  'measure-a-part',
  'kits-and-films',
  'lay-sheet',
  'mix',
  'fit',
  'after-the-fit',
  'people-and-tablets',
  'the-day',
  'practice',
] as const
export type GuidePage = (typeof guidePages)[number]

/** Which page belongs to which screen; the first that fits. */
const ofScreens: readonly (readonly [RegExp, GuidePage])[] = [
  [/^\/$/, 'the-day'],
  [/^\/jobs\/[^/]+\/fit\//, 'fit'],
  [/^\/jobs\/[^/]+\/kit/, 'kits-and-films'],
  [/^\/jobs\/[^/]+\/(waits|record)/, 'after-the-fit'],
  [/^\/jobs\/[^/]+\/lay-sheets/, 'lay-sheet'],
  [/^\/(jobs|models)/, 'take-a-vehicle-in'],
  [/^\/forms/, 'measure-a-part'],
  [/^\/shelf/, 'kits-and-films'],
  [/^\/mixing/, 'mix'],
  [/^\/practice/, 'practice'],
  [/^\/(shop|tablet)/, 'people-and-tablets'],
]

/** The page that belongs to an address of the app. */
export const guidePageFor = (path: string): GuidePage =>
  ofScreens.find(([screens]) => screens.test(path))?.[1] ?? 'open-the-shop'
