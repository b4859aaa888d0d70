export { type LampLight, type LightRequest, lampLight } from './lampLight.ts'
export {
  filmLayers,
  type FilmLayers,
  type Grade,
  lensLight,
  type LensLightRequest,
  type LightChoice,
  lightestShade,
  mostLight,
  plainLens,
  type Shade,
  shadesOf,
  shadeWords,
} from './lensLight.ts'
