/** Temperature of the ice point, K. */
const zeroCelsiusK = 273.15

/**
 * Pressure of saturated water vapour, kPa, over liquid water (also below 0 °C, where it is supercooled).
 * Wagner and Pruss 2002 (IAPWS SR1-86), within 0.1 % from 0 to 60 °C.
 */
export function saturationKpa(temperatureC: number): number {
  const criticalK = 647.096
  const criticalKpa = 22064
  const kelvin = temperatureC + zeroCelsiusK
  const t = 1 - kelvin / criticalK
  const power =
    -7.85951783 * t +
    1.84408259 * t ** 1.5 -
    11.7866497 * t ** 3 +
    22.6807411 * t ** 3.5 -
    15.9618719 * t ** 4 +
    1.80122502 * t ** 7.5
  return criticalKpa * Math.exp((criticalK / kelvin) * power)
}

/** How much more water the air could hold, kPa: what dries film. */
export const deficitKpa = (temperatureC: number, humidityPercent: number) =>
  saturationKpa(temperatureC) * (1 - humidityPercent / 100)

/** At and below this temperature water settles out of such air, °C. Found by halving, to 0.001 K. */
export function dewPointC(temperatureC: number, humidityPercent: number): number {
  const wanted = (saturationKpa(temperatureC) * humidityPercent) / 100
  let low = -100
  let high = temperatureC
  for (let k = 0; k < 40; k++) {
    const middle = (low + high) / 2
    if (saturationKpa(middle) < wanted) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/** Pressure of saturated vapour of isopropyl alcohol, kPa (Antoine equation, 0 to 100 °C). */
export const alcoholSaturationKpa = (temperatureC: number) =>
  0.1333224 * 10 ** (8.1177 - 1580.92 / (temperatureC + 219.61))

/**
 * Vapour pressure of the alcohol over a mix of isopropyl alcohol and water, kPa: mole fraction times activity (van Laar, with
 * 2.4 and 1.1 for the two ends) times its own. Weak mixes give off far more of it than their strength suggests.
 */
export function alcoholOverMixKpa(temperatureC: number, alcoholPercent: number): number {
  const share = alcoholPercent / 100
  if (share <= 0) return 0
  // Moles in a litre: density over molar mass.
  const alcohol = (share * 786) / 60.1
  const water = ((1 - share) * 998) / 18.02
  const x = alcohol / (alcohol + water)
  const [a, b] = [2.4, 1.1]
  const activity = Math.exp(a / (1 + (a * x) / (b * Math.max(1e-12, 1 - x))) ** 2)
  return x * activity * alcoholSaturationKpa(temperatureC)
}
