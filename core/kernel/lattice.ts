// The inner loops of the lattice Boltzmann engine (what solids hold: hold.ts), in AssemblyScript: `npm run -s kernel` compiles
// them to core/src/lattice/kernel-bytes.ts. What they compute, and why, stands in
// core/src/lattice/README.md; the names are the same.
//
// Layout of the memory, all float32: 19 slots of `slotBytes`, slot i at `base + i * slotBytes`; in a
// slot cell (x, y, z) stands at ((z * ny + y) * nx + x) * 4, nx a multiple of 4. The mask is one u32
// a cell: all ones for water, zero for what is solid; `taus` one float a cell, 1 − 1/τ₀ of its
// relaxation time. y and z wrap; the first and last x are solid.

export { hold } from './hold'

let nx: i32 = 0
let ny: i32 = 0
let nz: i32 = 0
let base: usize = 0
let slotBytes: usize = 0
let mask: usize = 0
let taus: usize = 0
/** 36 C², C the Smagorinsky constant. */
let eddy: f32 = 0
/** 1 − 1/τ of the thickest water there is. */
const MOST_KEPT: f32 = 0.9

export function setUp(
  cellsX: i32,
  cellsY: i32,
  cellsZ: i32,
  populations: usize,
  bytes: usize,
  waterMask: usize,
  relaxation: usize,
): void {
  nx = cellsX
  ny = cellsY
  nz = cellsZ
  base = populations
  slotBytes = bytes
  mask = waterMask
  taus = relaxation
}

export function setEddies(smagorinsky: f32): void {
  eddy = 36 * smagorinsky * smagorinsky
}

/** Where a cell's population of a direction is read before a step: in its own cell, or where the last step left it. */
// @ts-ignore: decorator of AssemblyScript
@inline
function at(odd: bool, slot: i32, opposite: i32, cell: i32, shift: i32): usize {
  return odd
    ? base + usize(opposite) * slotBytes + (usize(cell - shift) << 2)
    : base + usize(slot) * slotBytes + (usize(cell) << 2)
}

/** Stores what is water's, and leaves what is solid's: read anew, as keeping it at hand all the way costs more. */
// @ts-ignore: decorator of AssemblyScript
@inline
function put(place: usize, value: v128, water: v128, whole: bool): void {
  v128.store(place, whole ? value : v128.bitselect(value, v128.load(place), water))
}

/** To both ways of a direction: what they share, and what the one has more and the other less. */
// @ts-ignore: decorator of AssemblyScript
@inline
function pair(along: usize, back: usize, even: v128, odd: v128, water: v128, whole: bool): void {
  put(along, f32x4.add(even, odd), water, whole)
  put(back, f32x4.sub(even, odd), water, whole)
}

/** One step of every cell: moments, collision, and each population to where its neighbour will read it. */
export function step(odd: bool): void {
  const plane = nx * ny
  const third = f32x4.splat(1.0 / 3.0)
  const sixth = f32x4.splat(1.0 / 6.0)
  const half = f32x4.splat(0.5)
  const quarter = f32x4.splat(0.25)
  const onePointFive = f32x4.splat(1.5)
  const w1 = f32x4.splat(1.0 / 18.0)
  const c = f32x4.splat(eddy)
  const most = f32x4.splat(MOST_KEPT)
  for (let z: i32 = 0; z < nz; z++) {
    const up = (z == nz - 1 ? 1 - nz : 1) * plane
    const down = (z == 0 ? nz - 1 : -1) * plane
    for (let y: i32 = 0; y < ny; y++) {
      const back = (y == ny - 1 ? 1 - ny : 1) * nx
      const front = (y == 0 ? ny - 1 : -1) * nx
      const cell = z * plane + y * nx
      // a: the population along +c, b: along −c; read at p, and the other's written there
      const p0 = base + (usize(cell) << 2)
      const a1 = at(odd, 1, 2, cell, 1)
      const b1 = at(odd, 2, 1, cell, -1)
      const a2 = at(odd, 3, 4, cell, -front)
      const b2 = at(odd, 4, 3, cell, -back)
      const a3 = at(odd, 5, 6, cell, -down)
      const b3 = at(odd, 6, 5, cell, -up)
      const a4 = at(odd, 7, 8, cell, 1 - front)
      const b4 = at(odd, 8, 7, cell, -1 - back)
      const a5 = at(odd, 9, 10, cell, 1 - back)
      const b5 = at(odd, 10, 9, cell, -1 - front)
      const a6 = at(odd, 11, 12, cell, 1 - down)
      const b6 = at(odd, 12, 11, cell, -1 - up)
      const a7 = at(odd, 13, 14, cell, 1 - up)
      const b7 = at(odd, 14, 13, cell, -1 - down)
      const a8 = at(odd, 15, 16, cell, -front - down)
      const b8 = at(odd, 16, 15, cell, -back - up)
      const a9 = at(odd, 17, 18, cell, -front - up)
      const b9 = at(odd, 18, 17, cell, -back - down)
      const water = mask + (usize(cell) << 2)
      const rest = taus + (usize(cell) << 2)
      const end = usize(nx) << 2
      for (let o: usize = 0; o < end; o += 16) {
        const m = v128.load(water + o)
        if (!v128.any_true(m)) continue
        const whole = i32x4.all_true(m)
        const f0 = v128.load(p0 + o)
        const f1a = v128.load(a1 + o)
        const f1b = v128.load(b1 + o)
        const f2a = v128.load(a2 + o)
        const f2b = v128.load(b2 + o)
        const f3a = v128.load(a3 + o)
        const f3b = v128.load(b3 + o)
        const f4a = v128.load(a4 + o)
        const f4b = v128.load(b4 + o)
        const f5a = v128.load(a5 + o)
        const f5b = v128.load(b5 + o)
        const f6a = v128.load(a6 + o)
        const f6b = v128.load(b6 + o)
        const f7a = v128.load(a7 + o)
        const f7b = v128.load(b7 + o)
        const f8a = v128.load(a8 + o)
        const f8b = v128.load(b8 + o)
        const f9a = v128.load(a9 + o)
        const f9b = v128.load(b9 + o)

        const s4 = f32x4.add(f4a, f4b)
        const s5 = f32x4.add(f5a, f5b)
        const s6 = f32x4.add(f6a, f6b)
        const s7 = f32x4.add(f7a, f7b)
        const s8 = f32x4.add(f8a, f8b)
        const s9 = f32x4.add(f9a, f9b)
        const s45 = f32x4.add(s4, s5)
        const s67 = f32x4.add(s6, s7)
        const s89 = f32x4.add(s8, s9)
        const s1 = f32x4.add(f1a, f1b)
        const s2 = f32x4.add(f2a, f2b)
        const s3 = f32x4.add(f3a, f3b)
        // ρ − 1
        const rho = f32x4.add(
          f32x4.add(f32x4.add(f0, s1), f32x4.add(s2, s3)),
          f32x4.add(s45, f32x4.add(s67, s89)),
        )
        const d4 = f32x4.sub(f4a, f4b)
        const d5 = f32x4.sub(f5a, f5b)
        const d6 = f32x4.sub(f6a, f6b)
        const d7 = f32x4.sub(f7a, f7b)
        const d8 = f32x4.sub(f8a, f8b)
        const d9 = f32x4.sub(f9a, f9b)
        const jx = f32x4.add(
          f32x4.sub(f1a, f1b),
          f32x4.add(f32x4.add(d4, d5), f32x4.add(d6, d7)),
        )
        const jy = f32x4.add(
          f32x4.sub(f2a, f2b),
          f32x4.add(f32x4.sub(d4, d5), f32x4.add(d8, d9)),
        )
        const jz = f32x4.add(
          f32x4.sub(f3a, f3b),
          f32x4.add(f32x4.sub(d6, d7), f32x4.sub(d8, d9)),
        )
        const jxx = f32x4.mul(jx, jx)
        const jyy = f32x4.mul(jy, jy)
        const jzz = f32x4.mul(jz, jz)
        const jxy = f32x4.mul(jx, jy)
        const jxz = f32x4.mul(jx, jz)
        const jyz = f32x4.mul(jy, jz)
        const p = f32x4.mul(rho, third)
        // what the second moments have over equilibrium
        const nxx = f32x4.sub(f32x4.sub(f32x4.add(s1, f32x4.add(s45, s67)), p), jxx)
        const nyy = f32x4.sub(f32x4.sub(f32x4.add(s2, f32x4.add(s45, s89)), p), jyy)
        const nzz = f32x4.sub(f32x4.sub(f32x4.add(s3, f32x4.add(s67, s89)), p), jzz)
        const nxy = f32x4.sub(f32x4.sub(s4, s5), jxy)
        const nxz = f32x4.sub(f32x4.sub(s6, s7), jxz)
        const nyz = f32x4.sub(f32x4.sub(s8, s9), jyz)
        const across = f32x4.add(f32x4.add(f32x4.abs(nxy), f32x4.abs(nxz)), f32x4.abs(nyz))
        const along = f32x4.add(f32x4.add(f32x4.abs(nxx), f32x4.abs(nyy)), f32x4.abs(nzz))
        const size = f32x4.add(along, f32x4.add(across, across))
        // 1 − 1/τ = 1 − 1/τ₀ + 36 C² Σ|N|
        const keep = f32x4.min(most, f32x4.add(v128.load(rest + o), f32x4.mul(c, size)))
        const axx = f32x4.add(jxx, f32x4.mul(keep, nxx))
        const ayy = f32x4.add(jyy, f32x4.mul(keep, nyy))
        const azz = f32x4.add(jzz, f32x4.mul(keep, nzz))
        const axy = f32x4.add(jxy, f32x4.mul(keep, nxy))
        const axz = f32x4.add(jxz, f32x4.mul(keep, nxz))
        const ayz = f32x4.add(jyz, f32x4.mul(keep, nyz))
        const ground = f32x4.sub(
          rho,
          f32x4.mul(onePointFive, f32x4.add(f32x4.add(axx, ayy), azz)),
        )
        // each weight into what it goes with: 1/18 of the ground, 4.5/18 of the moments, 3/18 of the momentum
        const ground1 = f32x4.mul(w1, ground)
        const exx = f32x4.mul(quarter, axx)
        const eyy = f32x4.mul(quarter, ayy)
        const ezz = f32x4.mul(quarter, azz)
        const kx = f32x4.mul(sixth, jx)
        const ky = f32x4.mul(sixth, jy)
        const kz = f32x4.mul(sixth, jz)

        put(p0 + o, f32x4.mul(third, ground), m, whole)
        pair(b1 + o, a1 + o, f32x4.add(ground1, exx), kx, m, whole)
        pair(b2 + o, a2 + o, f32x4.add(ground1, eyy), ky, m, whole)
        pair(b3 + o, a3 + o, f32x4.add(ground1, ezz), kz, m, whole)
        // half of each of them for the diagonals
        const hx = f32x4.mul(half, kx)
        const hy = f32x4.mul(half, ky)
        const hz = f32x4.mul(half, kz)
        const xy = f32x4.mul(half, f32x4.add(ground1, f32x4.add(exx, eyy)))
        const exy = f32x4.mul(quarter, axy)
        pair(b4 + o, a4 + o, f32x4.add(xy, exy), f32x4.add(hx, hy), m, whole)
        pair(b5 + o, a5 + o, f32x4.sub(xy, exy), f32x4.sub(hx, hy), m, whole)
        const xz = f32x4.mul(half, f32x4.add(ground1, f32x4.add(exx, ezz)))
        const exz = f32x4.mul(quarter, axz)
        pair(b6 + o, a6 + o, f32x4.add(xz, exz), f32x4.add(hx, hz), m, whole)
        pair(b7 + o, a7 + o, f32x4.sub(xz, exz), f32x4.sub(hx, hz), m, whole)
        const yz = f32x4.mul(half, f32x4.add(ground1, f32x4.add(eyy, ezz)))
        const eyz = f32x4.mul(quarter, ayz)
        pair(b8 + o, a8 + o, f32x4.add(yz, eyz), f32x4.add(hy, hz), m, whole)
        pair(b9 + o, a9 + o, f32x4.sub(yz, eyz), f32x4.sub(hy, hz), m, whole)
      }
    }
  }
}

/** Adds to populations before a step: `count` pairs of a float's address and what it gets, times the factor. */
export function add(addresses: usize, amounts: usize, count: i32, factor: f32): void {
  for (let i: i32 = 0; i < count; i++) {
    const place = usize(load<u32>(addresses + (usize(i) << 2)))
    store<f32>(place, load<f32>(place) + factor * load<f32>(amounts + (usize(i) << 2)))
  }
}

/** Moves `count` populations before a step, each from a float's address to another's. */
export function reflect(sources: usize, targets: usize, count: i32): void {
  for (let i: i32 = 0; i < count; i++) {
    const o = usize(i) << 2
    store<f32>(usize(load<u32>(targets + o)), load<f32>(usize(load<u32>(sources + o))))
  }
}

/** Density less 1 and momentum of every cell as it stands before a step, to four slots from `out`. */
export function moments(odd: bool, out: usize): void {
  const plane = nx * ny
  for (let z: i32 = 0; z < nz; z++) {
    const up = (z == nz - 1 ? 1 - nz : 1) * plane
    const down = (z == 0 ? nz - 1 : -1) * plane
    for (let y: i32 = 0; y < ny; y++) {
      const back = (y == ny - 1 ? 1 - ny : 1) * nx
      const front = (y == 0 ? ny - 1 : -1) * nx
      const cell = z * plane + y * nx
      const water = mask + (usize(cell) << 2)
      const to = out + (usize(cell) << 2)
      const end = usize(nx) << 2
      for (let o: usize = 0; o < end; o += 16) {
        const m = v128.load(water + o)
        let rho = v128.load(base + (usize(cell) << 2) + o)
        let jx = f32x4.splat(0)
        let jy = f32x4.splat(0)
        let jz = f32x4.splat(0)
        let a = v128.load(at(odd, 1, 2, cell, 1) + o)
        let b = v128.load(at(odd, 2, 1, cell, -1) + o)
        rho = f32x4.add(rho, f32x4.add(a, b))
        jx = f32x4.sub(a, b)
        a = v128.load(at(odd, 3, 4, cell, -front) + o)
        b = v128.load(at(odd, 4, 3, cell, -back) + o)
        rho = f32x4.add(rho, f32x4.add(a, b))
        jy = f32x4.sub(a, b)
        a = v128.load(at(odd, 5, 6, cell, -down) + o)
        b = v128.load(at(odd, 6, 5, cell, -up) + o)
        rho = f32x4.add(rho, f32x4.add(a, b))
        jz = f32x4.sub(a, b)
        a = v128.load(at(odd, 7, 8, cell, 1 - front) + o)
        b = v128.load(at(odd, 8, 7, cell, -1 - back) + o)
        rho = f32x4.add(rho, f32x4.add(a, b))
        let d = f32x4.sub(a, b)
        jx = f32x4.add(jx, d)
        jy = f32x4.add(jy, d)
        a = v128.load(at(odd, 9, 10, cell, 1 - back) + o)
        b = v128.load(at(odd, 10, 9, cell, -1 - front) + o)
        rho = f32x4.add(rho, f32x4.add(a, b))
        d = f32x4.sub(a, b)
        jx = f32x4.add(jx, d)
        jy = f32x4.sub(jy, d)
        a = v128.load(at(odd, 11, 12, cell, 1 - down) + o)
        b = v128.load(at(odd, 12, 11, cell, -1 - up) + o)
        rho = f32x4.add(rho, f32x4.add(a, b))
        d = f32x4.sub(a, b)
        jx = f32x4.add(jx, d)
        jz = f32x4.add(jz, d)
        a = v128.load(at(odd, 13, 14, cell, 1 - up) + o)
        b = v128.load(at(odd, 14, 13, cell, -1 - down) + o)
        rho = f32x4.add(rho, f32x4.add(a, b))
        d = f32x4.sub(a, b)
        jx = f32x4.add(jx, d)
        jz = f32x4.sub(jz, d)
        a = v128.load(at(odd, 15, 16, cell, -front - down) + o)
        b = v128.load(at(odd, 16, 15, cell, -back - up) + o)
        rho = f32x4.add(rho, f32x4.add(a, b))
        d = f32x4.sub(a, b)
        jy = f32x4.add(jy, d)
        jz = f32x4.add(jz, d)
        a = v128.load(at(odd, 17, 18, cell, -front - up) + o)
        b = v128.load(at(odd, 18, 17, cell, -back - down) + o)
        rho = f32x4.add(rho, f32x4.add(a, b))
        d = f32x4.sub(a, b)
        jy = f32x4.add(jy, d)
        jz = f32x4.sub(jz, d)
        v128.store(to + o, v128.and(rho, m))
        v128.store(to + slotBytes + o, v128.and(jx, m))
        v128.store(to + 2 * slotBytes + o, v128.and(jy, m))
        v128.store(to + 3 * slotBytes + o, v128.and(jz, m))
      }
    }
  }
}

/**
 * Adds one reading of the moments to what is kept of a run: the sums of the three parts of the speed,
 * of the speed and of its square, and its highest square; six slots from `kept`.
 */
export function accumulate(read: usize, kept: usize): void {
  const end = usize(nx * ny * nz) << 2
  const s = slotBytes
  for (let o: usize = 0; o < end; o += 16) {
    const ux = v128.load(read + s + o)
    const uy = v128.load(read + 2 * s + o)
    const uz = v128.load(read + 3 * s + o)
    const square = f32x4.add(f32x4.add(f32x4.mul(ux, ux), f32x4.mul(uy, uy)), f32x4.mul(uz, uz))
    const to = kept + o
    v128.store(to, f32x4.add(v128.load(to), ux))
    v128.store(to + s, f32x4.add(v128.load(to + s), uy))
    v128.store(to + 2 * s, f32x4.add(v128.load(to + 2 * s), uz))
    v128.store(to + 3 * s, f32x4.add(v128.load(to + 3 * s), f32x4.sqrt(square)))
    v128.store(to + 4 * s, f32x4.add(v128.load(to + 4 * s), square))
    v128.store(to + 5 * s, f32x4.max(v128.load(to + 5 * s), square))
  }
}

/** Copies as many bytes as a step reads, to measure one against the other. */
export function copy(to: usize, from: usize, bytes: usize): void {
  memory.copy(to, from, bytes)
}
