import { Colors, DxfWriter, point2d, Units } from '@tarikjabiri/dxf'
import { type Cut, plain } from './cutFile.ts'

/** A cut as DXF in millimetres: layers CUTOUT and OUTLINE, one polyline for each line, in the order of cutting. */
export function dxfOfCut({ lines }: Cut): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  dxf.addLayer('CUTOUT', Colors.Red, 'CONTINUOUS')
  dxf.addLayer('OUTLINE', Colors.White, 'CONTINUOUS')
  for (const { kind, line } of lines) {
    dxf.setCurrentLayerName(kind === 'outline' ? 'OUTLINE' : 'CUTOUT')
    dxf.addLWPolyline(line.map(([x, y]) => ({ point: point2d(plain(x), plain(y)) })))
  }
  return dxf.stringify()
}
