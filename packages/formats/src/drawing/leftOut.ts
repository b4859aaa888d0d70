import { counted, name, say, type Sentence } from '@truelay/core/say'

/** What is said of so many things in a file that are not used. */
export type LeftOut = (many: number) => Sentence

/** What readers of drawings leave out. */
export const leftOut = {
  blocks: (n) => say`${counted(n, '# block that is not in the file', '# blocks that are not in the file')} left out.`,
  clipPaths: (n) =>
    say`${counted(n, '# clip path that cannot be followed', '# clip paths that cannot be followed')} left out.`,
  fills: (n) => say`${counted(n, '# filled area without edges', '# filled areas without edges')} left out.`,
  hidden: (n) => say`${counted(n, '# hidden shape', '# hidden shapes')} left out.`,
  masks: (n) => say`${counted(n, '# mask', '# masks')} left out.`,
  meshes: (n) => say`${counted(n, '# mesh', '# meshes')} left out.`,
  onPaper: (n) => say`${counted(n, '# shape on a page of paper', '# shapes on pages of paper')} left out.`,
  outsideClip: (n) =>
    say`${counted(n, '# shape outside its clip path', '# shapes outside their clip paths')} left out.`,
  outOfSheet: (n) =>
    say`${counted(n, '# shape that stands out of the sheet', '# shapes that stand out of the sheet')} left out.`,
  outward: (n) => say`${counted(n, '# reference outward', '# references outward')} left out.`,
  pictures: (n) => say`${counted(n, '# picture', '# pictures')} left out.`,
  scripts: (n) => say`${counted(n, '# script', '# scripts')} left out.`,
  splines: (n) => say`${counted(n, '# spline without its knots', '# splines without their knots')} left out.`,
  styles: (n) => say`${counted(n, '# rule of style', '# rules of style')} left out.`,
  switchedOff: (n) =>
    say`${counted(n, '# shape on a layer that is switched off', '# shapes on layers that are switched off')} left out.`,
  texts: (n) => say`${counted(n, '# text', '# texts')} left out.`,
  transforms: (n) =>
    say`${counted(n, '# shape with a transform that cannot be read', '# shapes with a transform that cannot be read')} left out.`,
} as const satisfies Readonly<Record<string, LeftOut>>

/** Shapes of a kind that no pattern needs, by the file's own word for it. */
export const unknownKind =
  (kind: string): LeftOut =>
  (n) =>
    say`${counted(n, '# shape', '# shapes')} of the kind “${name(kind)}” left out.`
