/** Element `i` of a row of numbers at an address in linear memory. All rows are handed in by their addresses. */
// @ts-expect-error: decorator
@inline export function int(row: usize, i: i32): i32 { return load<i32>(row + ((<usize>i) << 2)) }
// @ts-expect-error: decorator
@inline export function setInt(row: usize, i: i32, x: i32): void { store<i32>(row + ((<usize>i) << 2), x) }
// @ts-expect-error: decorator
@inline export function num(row: usize, i: i32): f64 { return load<f64>(row + ((<usize>i) << 3)) }
// @ts-expect-error: decorator
@inline export function setNum(row: usize, i: i32, x: f64): void { store<f64>(row + ((<usize>i) << 3), x) }
/** Pair `i` of a row of pairs: x and y of a point, or one column of a 2x2 matrix. */
// @ts-expect-error: decorator
@inline export function pair(row: usize, i: i32): v128 { return v128.load(row + ((<usize>i) << 4)) }
// @ts-expect-error: decorator
@inline export function setPair(row: usize, i: i32, xy: v128): void { v128.store(row + ((<usize>i) << 4), xy) }
