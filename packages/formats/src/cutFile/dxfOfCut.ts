import { Colors, DxfWriter, point2d, point3d, Units } from '@tarikjabiri/dxf'
import { type Cut, crossAt, plain } from './cutFile.ts'

/** A cut as DXF in millimetres: layers CUTOUT and OUTLINE, one polyline for each line, in the order of cutting; layer REGISTER has the marks, which are not cut. */
export function dxfOfCut({ lines, marks = [] }: Cut): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  dxf.addLayer('CUTOUT', Colors.Red, 'CONTINUOUS')
  dxf.addLayer('OUTLINE', Colors.White, 'CONTINUOUS')
  for (const { kind, line } of lines) {
    dxf.setCurrentLayerName(kind === 'outline' ? 'OUTLINE' : 'CUTOUT')
    dxf.addLWPolyline(line.map(([x, y]) => ({ point: point2d(plain(x), plain(y)) })))
  }
  if (marks.length > 0) {
    dxf.addLayer('REGISTER', Colors.Blue, 'CONTINUOUS')
    dxf.setCurrentLayerName('REGISTER')
    for (const [from, to] of marks.flatMap(crossAt))
      dxf.addLine(point3d(plain(from[0]), plain(from[1])), point3d(plain(to[0]), plain(to[1])))
  }
  return dxf.stringify()
}
