export { inWords, metricUnits, type Shown, showLength, showTemperature, showVolume, type UnitChoice } from './format.ts'
export {
  cFromFahrenheit,
  degFromRad,
  fahrenheitFromC,
  fluidOunceFromMl,
  inchFromMm,
  mlFromFluidOunce,
  mm2PerM2,
  mmFromInch,
  radFromDeg,
} from './units.ts'
