/** Conversions between the core's metric units and those that a shop may prefer to read. Exact by definition. */
export const mmPerInch = 25.4
export const mlPerUsFluidOunce = 29.5735295625
export const mm2PerM2 = 1e6
/** The round length along an edge on which film left over is counted: 100 mm, or 4 in. */
export const spanMm = { mm: 100, in: 4 * mmPerInch } as const

export const footFromMm = (lengthMm: number) => lengthMm / (12 * mmPerInch)
export const mmFromFoot = (lengthFoot: number) => lengthFoot * 12 * mmPerInch
export const inchFromMm = (lengthMm: number) => lengthMm / mmPerInch
export const mmFromInch = (lengthInch: number) => lengthInch * mmPerInch
export const fahrenheitFromC = (temperatureC: number) => (temperatureC * 9) / 5 + 32
export const cFromFahrenheit = (temperatureF: number) => ((temperatureF - 32) * 5) / 9
export const fluidOunceFromMl = (volumeMl: number) => volumeMl / mlPerUsFluidOunce
export const mlFromFluidOunce = (volumeFlOz: number) => volumeFlOz * mlPerUsFluidOunce
export const radFromDeg = (angleDeg: number) => (angleDeg * Math.PI) / 180
export const degFromRad = (angleRad: number) => (angleRad * 180) / Math.PI
