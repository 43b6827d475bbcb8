// Water that something solid in it holds, cell by cell; names and layout as in lattice.ts.

/**
 * Holds the water of `count` cells before a step. Of each: 19 addresses of its populations, and six
 * floats: a direction n, shares of its momentum that it loses along n and across it, and a drag d by which
 * it loses d |j| j across it. What changes is the balance of its populations, by equilibria.
 */
export function hold(places: usize, figures: usize, count: i32): void {
  for (let i: i32 = 0; i < count; i++) {
    const at = places + usize(i) * 76
    const own = figures + usize(i) * 24
    const x = pair(at, 1, 2)
    const y = pair(at, 3, 4)
    const z = pair(at, 5, 6)
    const xy = pair(at, 7, 8)
    const xyBack = pair(at, 9, 10)
    const xz = pair(at, 11, 12)
    const xzBack = pair(at, 13, 14)
    const yz = pair(at, 15, 16)
    const yzBack = pair(at, 17, 18)
    const jx = x + xy + xyBack + xz + xzBack
    const jy = y + xy - xyBack + yz + yzBack
    const jz = z + xz - xzBack + yz - yzBack
    const nX = load<f32>(own)
    const nY = load<f32>(own, 4)
    const nZ = load<f32>(own, 8)
    const along = jx * nX + jy * nY + jz * nZ
    const tX = jx - along * nX
    const tY = jy - along * nY
    const tZ = jz - along * nZ
    const across = sqrt(tX * tX + tY * tY + tZ * tZ)
    const keepN = along * (<f32>1 - load<f32>(own, 12))
    const keepT = max(<f32>0, <f32>1 - load<f32>(own, 16) - load<f32>(own, 20) * across)
    const kx = keepN * nX + keepT * tX
    const ky = keepN * nY + keepT * tY
    const kz = keepN * nZ + keepT * tZ
    const square = <f32>1.5 * (kx * kx + ky * ky + kz * kz - jx * jx - jy * jy - jz * jz)
    give(at, 0, <f32>(1.0 / 3.0), -square)
    both(at, 1, <f32>(1.0 / 18.0), jx, kx, square)
    both(at, 3, <f32>(1.0 / 18.0), jy, ky, square)
    both(at, 5, <f32>(1.0 / 18.0), jz, kz, square)
    both(at, 7, <f32>(1.0 / 36.0), jx + jy, kx + ky, square)
    both(at, 9, <f32>(1.0 / 36.0), jx - jy, kx - ky, square)
    both(at, 11, <f32>(1.0 / 36.0), jx + jz, kx + kz, square)
    both(at, 13, <f32>(1.0 / 36.0), jx - jz, kx - kz, square)
    both(at, 15, <f32>(1.0 / 36.0), jy + jz, ky + kz, square)
    both(at, 17, <f32>(1.0 / 36.0), jy - jz, ky - kz, square)
  }
}

/** The momentum that a pair of opposite populations carries. */
// @ts-ignore: decorator of AssemblyScript
@inline
function pair(at: usize, a: i32, b: i32): f32 {
  return (
    load<f32>(usize(load<u32>(at + (usize(a) << 2)))) -
    load<f32>(usize(load<u32>(at + (usize(b) << 2))))
  )
}

/** To a pair of opposite populations the difference of their equilibria: c·j before and after. */
// @ts-ignore: decorator of AssemblyScript
@inline
function both(at: usize, slot: i32, weight: f32, before: f32, after: f32, square: f32): void {
  const even = <f32>4.5 * (after * after - before * before) - square
  const odd = <f32>3 * (after - before)
  give(at, slot, weight, even + odd)
  give(at, slot + 1, weight, even - odd)
}

// @ts-ignore: decorator of AssemblyScript
@inline
function give(at: usize, slot: i32, weight: f32, amount: f32): void {
  const place = usize(load<u32>(at + (usize(slot) << 2)))
  store<f32>(place, load<f32>(place) + weight * amount)
}
