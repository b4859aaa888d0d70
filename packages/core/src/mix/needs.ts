/** Liquid that a part needs, from its area and the length of its edge. */
export interface UseRates {
  /** On the part, the adhesive and the face, mL per m². */
  readonly slipMlPerM2: number
  readonly tackMlPerM2: number
  /** Flushed along the edge, mL per m. */
  readonly tackMlPerEdgeM: number
}

export const useRateDefaults: UseRates = { slipMlPerM2: 900, tackMlPerM2: 150, tackMlPerEdgeM: 40 }

export interface LiquidNeed {
  readonly slipMl: number
  readonly tackMl: number
}

/** Need of one part, mL, before rounding to a bottle. */
export function liquidNeed(areaMm2: number, edgeMm: number, rates: UseRates = useRateDefaults): LiquidNeed {
  const areaM2 = areaMm2 / 1e6
  return {
    slipMl: areaM2 * rates.slipMlPerM2,
    tackMl: areaM2 * rates.tackMlPerM2 + (edgeMm / 1000) * rates.tackMlPerEdgeM,
  }
}

/** The next larger volume that is handy to measure: steps of 50 mL up to half a litre, 100 mL above. */
export const handyVolumeMl = (ml: number) =>
  ml <= 0 ? 0 : ml <= 500 ? Math.ceil(ml / 50 - 1e-9) * 50 : Math.ceil(ml / 100 - 1e-9) * 100
