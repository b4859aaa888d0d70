import type { PhotoProblem, Side, SuretyProblem } from '@truelay/core/photogrammetry'
import { say, type Sentence } from '@truelay/core/say'

export const problemWords: Readonly<Record<PhotoProblem | 'no picture', Sentence>> = {
  'few targets': say`too few targets seen: go nearer, with more light`,
  shaken: say`shaken: hold the tablet against something and take it again`,
  blurred: say`blurred: tap the part so that the camera is sharp there, and take it again`,
  'another size': say`of another camera or size: take all with one`,
  'no picture': say`no picture that can be read: set the camera to JPEG`,
}

/** Where to stand, looking at the part. */
export const sideWords: Readonly<Record<Side, Sentence>> = {
  'at the plate': say`Stand at the start plate.`,
  'right of the plate': say`Stand to the right of the start plate.`,
  right: say`Stand on the right, looking from the start plate.`,
  'far right': say`Stand far on the right, nearly opposite the start plate.`,
  'opposite the plate': say`Stand opposite the start plate.`,
  'far left': say`Stand far on the left, nearly opposite the start plate.`,
  left: say`Stand on the left, looking from the start plate.`,
  'left of the plate': say`Stand to the left of the start plate.`,
}

const lowDeg = 35
const highDeg = 60
export const heightWords = (heightDeg: number): Sentence =>
  heightDeg < lowDeg
    ? say`Hold the tablet low, and look flat across the part.`
    : heightDeg < highDeg
      ? say`Hold the tablet half high.`
      : say`Hold the tablet high, and look down on the part.`

/** What is wrong with a measurement as a whole, and what to do. */
export const suretyWords: Readonly<Record<SuretyProblem, Sentence>> = {
  'no scale': say`There is no scale: no photograph shows both ends of a bar whose length is known. Type its length, or photograph it.`,
  'do not agree': say`The photographs do not agree with each other. Was one taken with another camera, or was something moved meanwhile?`,
  'bars contradict': say`The two bars contradict each other. Measure both again with the steel rule, from dot to dot.`,
  shaken: say`Too many photographs were shaken. Take them again, the tablet held against something.`,
  'one side': say`All photographs were taken from one side: how far things stand out is not sure. Take some from the other sides.`,
  unsure: say`That is too unsure for film. Take more photographs.`,
}
