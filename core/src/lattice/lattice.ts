import { LATTICE_DIRECTIONS, opposite, WEIGHTS } from './d3q19.ts'
import { type Kernel, kernelMemory, type KernelMemory, kernelOver } from './kernel.ts'
import { type MemoryPlan, PAGE_BYTES, pagesFor, planMemory, POPULATIONS } from './memory.ts'
import type { LatticeShape } from './shape.ts'
import { neighbour, type SlipLink, slipLinks } from './slip.ts'

/** How thick the water is: ν = (tau − ½) / 3, everywhere or cell by cell, and C of Smagorinsky's eddies, zero for none. */
export interface LatticeWater {
  readonly tau: number | Float32Array
  readonly smagorinsky: number
}

/** One population of one cell gets so much at every step: how walls move, pumps push, nozzles pour. */
export interface SourceTerm {
  readonly cell: number
  readonly direction: number
  readonly amount: number
}

/** Populations that come off a slipping wall: addresses of where they stand and where they must, before an even step and before an odd one. */
interface Mirror {
  readonly sources: readonly [number, number]
  readonly targets: readonly [number, number]
  readonly count: number
}

/** Water that something solid in it holds, cell by cell. */
export interface HeldWater {
  readonly cells: Int32Array
  /** Six figures of each: a direction, the shares of its momentum that are lost along it and across it at each step, and d: d |j| j lost across it. */
  readonly figures: Float32Array
  /** Held before each step whose number this divides. */
  readonly everySteps: number
}

/** Addresses of the held cells' populations, before an even step and before an odd one, and their figures. */
interface Held {
  readonly places: readonly [number, number]
  readonly figures: number
  readonly count: number
  readonly everySteps: number
}

interface Source {
  /** Addresses before an even step, then before an odd one. */
  readonly addresses: readonly [number, number]
  readonly amounts: number
  readonly count: number
  readonly everySteps: number
  factor: number
}

/** Moments of one moment, views into the lattice's memory: they change with the next reading. */
export interface Moments {
  /** Density less 1. */
  readonly excess: Float32Array
  readonly x: Float32Array
  readonly y: Float32Array
  readonly z: Float32Array
}

/** Sums over the readings that were kept. */
export interface KeptSums {
  readonly readings: number
  readonly x: Float32Array
  readonly y: Float32Array
  readonly z: Float32Array
  readonly speed: Float32Array
  readonly square: Float32Array
  readonly highestSquare: Float32Array
}

/** Water in a box of cells, stepped in place. Throws where WebAssembly with SIMD is missing. */
export class Lattice {
  readonly cells: number
  steps = 0
  private readonly memory: KernelMemory
  private readonly kernel: Kernel
  private readonly plan: MemoryPlan
  private readonly sources: Source[] = []
  private free: number
  private readonly mirror: Mirror
  private readonly held: Held[] = []
  private readings = 0
  /** Where copies go; zero: no room is taken for them. */
  private spare = 0

  constructor(
    readonly shape: LatticeShape,
    water: LatticeWater,
  ) {
    const { cellsX, cellsY, cellsZ } = shape
    if (cellsX % 4 !== 0) throw new RangeError(`cellsX must be a multiple of 4, is ${cellsX}`)
    this.cells = cellsX * cellsY * cellsZ
    this.plan = planMemory(this.cells, cellsX)
    this.free = this.plan.sources
    this.memory = kernelMemory(pagesFor(this.free))
    this.kernel = kernelOver(this.memory)
    const { populations, slotBytes, mask, taus } = this.plan
    this.kernel.setUp(cellsX, cellsY, cellsZ, populations, slotBytes, mask, taus)
    this.setWater(water)
    const masks = new Uint32Array(this.memory.buffer, mask, this.cells)
    for (let i = 0; i < this.cells; i++) masks[i] = shape.solid[i] ? 0 : 0xffffffff
    this.mirror = this.makeMirror(slipLinks(shape))
  }

  /** Water that moves already when it is first stepped: each cell in balance with its speed, cells a step. Before the first step. */
  begin({ x, y, z }: Pick<Moments, 'x' | 'y' | 'z'>): void {
    if (this.steps > 0) throw new RangeError('begun already')
    LATTICE_DIRECTIONS.forEach(([cx, cy, cz], direction) => {
      const populations = this.slot(this.plan.populations, direction)
      for (let cell = 0; cell < this.cells; cell++) {
        if (this.shape.solid[cell]) continue
        const along = cx * x[cell]! + cy * y[cell]! + cz * z[cell]!
        const square = x[cell]! ** 2 + y[cell]! ** 2 + z[cell]! ** 2
        populations[cell] = WEIGHTS[direction]! * (3 * along + 4.5 * along * along - 1.5 * square)
      }
    })
  }

  setWater(water: LatticeWater): void {
    const { tau, smagorinsky } = water
    const taus = this.slot(this.plan.taus, 0)
    if (typeof tau === 'number') taus.fill(1 - 1 / tau)
    else for (let cell = 0; cell < tau.length; cell++) taus[cell] = 1 - 1 / tau[cell]!
    this.kernel.setEddies(smagorinsky)
  }

  /** A group of sources, given before each step whose number `everySteps` divides, times its factor; answers its number. */
  addSource(sources: readonly SourceTerm[], { factor = 1, everySteps = 1 } = {}): number {
    const count = sources.length
    const even = this.take(count)
    const odd = this.take(count)
    const amounts = this.take(count)
    const places = [even, odd].map((at) => new Uint32Array(this.memory.buffer, at, count))
    sources.forEach((source, i) => {
      places[0]![i] = this.address(source, false)
      places[1]![i] = this.address(source, true)
    })
    new Float32Array(this.memory.buffer, amounts, count).set(sources.map((source) => source.amount))
    this.sources.push({ addresses: [even, odd], amounts, count, everySteps, factor })
    return this.sources.length - 1
  }

  /** What a group of sources gives from now on, in its order. */
  setAmounts(source: number, amounts: Float32Array): void {
    const { amounts: at, count } = this.sources[source]!
    if (count > 0) new Float32Array(this.memory.buffer, at, count).set(amounts)
  }

  /** Holds cells from now on; again and again for others. */
  hold({ cells, figures, everySteps }: HeldWater): void {
    const count = cells.length
    const even = this.take(count * POPULATIONS)
    const odd = this.take(count * POPULATIONS)
    const at = this.take(figures.length)
    const places = [even, odd].map(
      (from) => new Uint32Array(this.memory.buffer, from, count * POPULATIONS),
    )
    cells.forEach((cell, i) => {
      for (let direction = 0; direction < POPULATIONS; direction++)
        for (const step of [0, 1])
          places[step]![i * POPULATIONS + direction] = this.address({ cell, direction }, step === 1)
    })
    new Float32Array(this.memory.buffer, at, figures.length).set(figures)
    this.held.push({ places: [even, odd], figures: at, count, everySteps })
  }

  setFactor(source: number, factor: number): void {
    this.sources[source]!.factor = factor
  }

  /** So many steps on. */
  run(steps: number): void {
    for (let i = 0; i < steps; i++) this.step()
  }

  step(): void {
    const odd = this.steps % 2
    this.reflect()
    for (const { addresses, amounts, count, everySteps, factor } of this.sources)
      if (factor !== 0 && this.steps % everySteps === 0)
        this.kernel.add(addresses[odd]!, amounts, count, factor)
    for (const { places, figures, count, everySteps } of this.held)
      if (this.steps % everySteps === 0) this.kernel.hold(places[odd]!, figures, count)
    this.kernel.step(odd)
    this.steps++
  }

  /** Density and momentum as they stand; what solids hold is zero. */
  read(): Moments {
    const { moments } = this.plan
    this.reflect()
    this.kernel.moments(this.steps % 2, moments)
    return {
      excess: this.slot(moments, 0),
      x: this.slot(moments, 1),
      y: this.slot(moments, 2),
      z: this.slot(moments, 3),
    }
  }

  /** Reads, and adds the reading to the sums. */
  keep(): void {
    this.read()
    this.kernel.accumulate(this.plan.moments, this.plan.kept)
    this.readings++
  }

  sums(): KeptSums {
    const { kept } = this.plan
    return {
      readings: this.readings,
      x: this.slot(kept, 0),
      y: this.slot(kept, 1),
      z: this.slot(kept, 2),
      speed: this.slot(kept, 3),
      square: this.slot(kept, 4),
      highestSquare: this.slot(kept, 5),
    }
  }

  /** All there is over the density at rest, in doubles: what a closed box must keep. */
  excessMass(): number {
    const { populations } = this.plan
    this.reflect()
    let sum = -this.reflectedTwice()
    for (let slot = 0; slot < POPULATIONS; slot++)
      for (const population of this.slot(populations, slot)) sum += population
    return sum
  }

  /** Copies as many bytes as a step reads from one place of the memory to another, to time one against the other. */
  copyAsMuch(): void {
    const { slotBytes } = this.plan
    const bytes = POPULATIONS * slotBytes
    if (this.spare === 0) this.spare = this.take(bytes / 4)
    this.kernel.copy(this.spare, this.plan.populations, bytes)
  }

  /** What slips stands where it left, and again where it must: counted once. */
  private reflectedTwice(): number {
    if (this.steps === 0) return 0
    const all = new Float32Array(this.memory.buffer)
    const at = this.mirror.sources[this.steps % 2]!
    const sources = new Uint32Array(this.memory.buffer, at, this.mirror.count)
    let sum = 0
    for (const source of sources) sum += all[source / 4]!
    return sum
  }

  /** Done twice it changes nothing: what it reads it does not write. */
  private reflect(): void {
    const { sources, targets, count } = this.mirror
    const odd = this.steps % 2
    if (this.steps > 0 && count > 0) this.kernel.reflect(sources[odd]!, targets[odd]!, count)
  }

  private makeMirror(links: readonly SlipLink[]): Mirror {
    const count = links.length
    const places = [0, 1, 2, 3].map(() => this.take(count))
    const { buffer } = this.memory
    const [fromEven, toEven, fromOdd, toOdd] = places.map(
      (at) => new Uint32Array(buffer, at, count),
    )
    links.forEach(({ from, to, leaving, coming }, i) => {
      // before an even step all stand where they arrive, before an odd one where they left
      fromEven![i] = this.slotAddress(leaving, neighbour(this.shape, from, leaving))
      toEven![i] = this.slotAddress(coming, to)
      fromOdd![i] = this.slotAddress(opposite(leaving), from)
      toOdd![i] = this.slotAddress(opposite(coming), neighbour(this.shape, to, opposite(coming)))
    })
    return { sources: [places[0]!, places[2]!], targets: [places[1]!, places[3]!], count }
  }

  private slotAddress(slot: number, cell: number): number {
    return this.plan.populations + slot * this.plan.slotBytes + cell * 4
  }

  private slot(first: number, index: number): Float32Array {
    return new Float32Array(this.memory.buffer, first + index * this.plan.slotBytes, this.cells)
  }

  private take(count: number): number {
    const at = this.free
    this.free += Math.ceil(count / 4) * 16
    const missing = pagesFor(this.free) - this.memory.buffer.byteLength / PAGE_BYTES
    if (missing > 0) this.memory.grow(missing)
    return at
  }

  /** Where a cell reads a direction's population before a step of this parity. */
  private address(
    { cell, direction }: Pick<SourceTerm, 'cell' | 'direction'>,
    odd: boolean,
  ): number {
    if (!odd) return this.slotAddress(direction, cell)
    const from = neighbour(this.shape, cell, opposite(direction))
    return this.slotAddress(opposite(direction), from)
  }
}
