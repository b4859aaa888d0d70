declare module 'cdt2d' {
  /** Constrained Delaunay triangulation; `exterior: false` drops what lies outside the edges. */
  export default function cdt2d(
    points: ReadonlyArray<readonly [number, number]>,
    edges: ReadonlyArray<readonly [number, number]>,
    options?: { delaunay?: boolean; interior?: boolean; exterior?: boolean; infinity?: boolean },
  ): Array<[number, number, number]>
}
