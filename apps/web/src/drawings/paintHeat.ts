import { heatColor } from './heatColors.ts'

/** So many colours from the room to where film is damaged. */
const shades = 256
const colors = new Uint8ClampedArray(3 * shades)
for (let i = 0; i < shades; i++)
  colors.set(
    heatColor(i / (shades - 1)).map((c) => Math.round(255 * c)),
    3 * i,
  )
/** What is damaged is seen at once, mixed with no other colour. */
const burnt = 20

interface HeatSpan {
  readonly ambientC: number
  readonly damageC: number
}

/** Paints surface temperatures, row after row, on a canvas of one dot a cell. */
export function paintHeat(
  canvas: HTMLCanvasElement,
  surfaceC: Float32Array,
  [across, down]: readonly [number, number],
  { ambientC, damageC }: HeatSpan,
): void {
  const context = canvas.getContext('2d')
  if (context === null) return
  if (canvas.width !== across) {
    canvas.width = across
    canvas.height = down
  }
  const image = context.createImageData(across, down)
  for (let i = 0; i < surfaceC.length; i++) {
    const share = ((surfaceC[i] ?? 0) - ambientC) / (damageC - ambientC)
    const at = 3 * Math.min(shades - 1, Math.max(0, Math.round((shades - 1) * share)))
    for (let k = 0; k < 3; k++) image.data[4 * i + k] = share > 1 ? burnt : (colors[at + k] ?? 0)
    image.data[4 * i + 3] = 255
  }
  context.putImageData(image, 0, 0)
}
