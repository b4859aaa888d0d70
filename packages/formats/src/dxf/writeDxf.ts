import type { PiecePattern } from '@truelay/core/align'
import type { Vec2 } from '@truelay/core/geometry'
import { Colors, DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf'

const plain = (x: number) => Number(x.toFixed(4))

/** A pattern as DXF in millimetres: layers OUTLINE, CUTOUT and MARK; each mark is a point with its name beside it. */
export function writeDxf(pattern: PiecePattern): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  dxf.addLayer('OUTLINE', Colors.White, 'CONTINUOUS')
  dxf.addLayer('CUTOUT', Colors.Red, 'CONTINUOUS')
  dxf.addLayer('MARK', Colors.Blue, 'CONTINUOUS')
  const loop = (layer: string, polygon: readonly Vec2[]) => {
    dxf.setCurrentLayerName(layer)
    dxf.addLWPolyline(
      polygon.map(([x, y]) => ({ point: point2d(plain(x), plain(y)) })),
      { flags: LWPolylineFlags.Closed },
    )
  }
  loop('OUTLINE', pattern.outline)
  for (const hole of pattern.cutOuts) loop('CUTOUT', hole)
  dxf.setCurrentLayerName('MARK')
  for (const { name, at } of pattern.marks) {
    dxf.addPoint(plain(at[0]), plain(at[1]), 0)
    dxf.addText(point3d(plain(at[0]), plain(at[1]), 0), 3, name)
  }
  return dxf.stringify()
}
