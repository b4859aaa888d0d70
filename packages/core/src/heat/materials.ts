import type { PartMaterial } from '../form/index.ts'
import type { Layer } from './heatTypes.ts'

/** Handbook figures at about 40 °C; plastics and films differ by ten to twenty per cent from grade to grade. */
const stuff = {
  polyurethane: { conductivityWmK: 0.2, densityKgm3: 1150, specificHeatJkgK: 1750 },
  vinyl: { conductivityWmK: 0.17, densityKgm3: 1350, specificHeatJkgK: 1150 },
  adhesive: { conductivityWmK: 0.18, densityKgm3: 1050, specificHeatJkgK: 1900 },
  paint: { conductivityWmK: 0.3, densityKgm3: 1400, specificHeatJkgK: 1400 },
  steel: { conductivityWmK: 50, densityKgm3: 7850, specificHeatJkgK: 470 },
  aluminium: { conductivityWmK: 160, densityKgm3: 2700, specificHeatJkgK: 900 },
  polypropylene: { conductivityWmK: 0.22, densityKgm3: 980, specificHeatJkgK: 1800 },
  polycarbonate: { conductivityWmK: 0.2, densityKgm3: 1200, specificHeatJkgK: 1250 },
  abs: { conductivityWmK: 0.19, densityKgm3: 1060, specificHeatJkgK: 1450 },
  glass: { conductivityWmK: 1, densityKgm3: 2500, specificHeatJkgK: 800 },
} as const

const layer = (name: string, of: keyof typeof stuff, thicknessMm: number): Layer => ({
  name,
  thicknessMm,
  ...stuff[of],
})

/** What a part is made of, from its paint inward. Steel and aluminium are outer skins. */
const underFilm: Readonly<Record<PartMaterial, readonly Layer[]>> = {
  'painted steel': [layer('paint', 'paint', 0.12), layer('steel', 'steel', 0.75)],
  'painted aluminium': [layer('paint', 'paint', 0.12), layer('aluminium', 'aluminium', 1.1)],
  'painted plastic': [layer('paint', 'paint', 0.12), layer('bumper plastic', 'polypropylene', 3)],
  'lens plastic': [layer('lens', 'polycarbonate', 3)],
  'gloss trim': [layer('trim plastic', 'abs', 2.5)],
  glass: [layer('glass', 'glass', 4)],
}

const adhesiveMm = 0.03

/** The layers under a gun: film, its adhesive, the part. */
export function layersOf(
  film: { readonly type: 'paint film' | 'lens tint' | 'trim vinyl'; readonly thicknessUm: number },
  material: PartMaterial,
): Layer[] {
  const of = film.type === 'trim vinyl' ? 'vinyl' : 'polyurethane'
  return [layer('film', of, film.thicknessUm / 1000), layer('adhesive', 'adhesive', adhesiveMm), ...underFilm[material]]
}
