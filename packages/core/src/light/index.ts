export { type LampLight, type LampUse, lampUses, type LightRequest, lampLight } from './lampLight.ts'
export {
  filmLayers,
  type FilmLayers,
  type Grade,
  lensLight,
  type LensLightRequest,
  type LightChoice,
  plainLens,
  type Shade,
  shadesOf,
  shadeToTake,
  shadeWords,
} from './lensLight.ts'
