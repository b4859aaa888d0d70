export {
  type LengthUnit,
  lengthUnits,
  metricUnits,
  type TemperatureUnit,
  temperatureUnits,
  type UnitChoice,
  type VolumeUnit,
  volumeUnits,
} from './unitChoice.ts'
export {
  cFromFahrenheit,
  degFromRad,
  fahrenheitFromC,
  fluidOunceFromMl,
  footFromMm,
  inchFromMm,
  mmFromFoot,
  mlFromFluidOunce,
  mm2PerM2,
  mmFromInch,
  radFromDeg,
  spanMm,
} from './units.ts'
export { readNumber } from './readNumber.ts'
