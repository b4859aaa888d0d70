import type { FilmDoc, FilmType, WayLaid } from './filmDoc.ts'

type Figures = Omit<FilmDoc, 'id' | 'name'>

/**
 * Where a new film of a kind begins until its maker's sheet or a strip on the bench says better: middle figures of what is fitted by hand.
 * Paint film is thick, springs back and shows glue lines early; lens tint is stiffer and thinner; cast vinyl gives most and keeps part of it.
 */
const byKind: Readonly<Record<FilmType, Figures>> = {
  'paint film': {
    type: 'paint film',
    laid: 'wet',
    thicknessUm: 180,
    handling: {
      take: 0.004,
      takeWarm: 0.012,
      easyStretch: 0.008,
      coldStretch: 0.02,
      warmStretch: 0.12,
      glueLineStretch: 0.04,
      patternStretch: 0.03,
      recovery: 0.85,
      shrinkBack: 0.6,
      stiffnessNPerMm: 8,
      warmSoftness: 0.3,
      narrowing: 0.48,
      tackNPerCm: 2,
    },
    damageC: 110,
  },
  'lens tint': {
    type: 'lens tint',
    laid: 'wet',
    thicknessUm: 120,
    handling: {
      take: 0.005,
      takeWarm: 0.015,
      easyStretch: 0.008,
      coldStretch: 0.03,
      warmStretch: 0.2,
      glueLineStretch: 0.06,
      patternStretch: 0.03,
      recovery: 0.7,
      shrinkBack: 0.5,
      stiffnessNPerMm: 9,
      warmSoftness: 0.2,
      narrowing: 0.48,
      tackNPerCm: 2,
    },
    transmission: 0.5,
    damageC: 110,
  },
  'trim vinyl': {
    type: 'trim vinyl',
    laid: 'dry',
    thicknessUm: 90,
    handling: {
      take: 0.008,
      takeWarm: 0.02,
      easyStretch: 0.015,
      coldStretch: 0.05,
      warmStretch: 0.4,
      glueLineStretch: 0.12,
      patternStretch: 0.03,
      recovery: 0.5,
      shrinkBack: 0.7,
      stiffnessNPerMm: 5,
      warmSoftness: 0.15,
      narrowing: 0.48,
      tackNPerCm: 2,
    },
    damageC: 110,
  },
}

/** The usual figures of a film of some kind; film that lets light through says how much only where it is film for lenses. */
export const usualFilmOf = (type: FilmType, laid: WayLaid = byKind[type].laid): Figures => ({ ...byKind[type], laid })
