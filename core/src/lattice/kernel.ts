import { KERNEL_BASE64 } from './kernel-bytes.ts'

/** What core/kernel/lattice.ts exports; places are bytes in the memory it was given. */
export interface Kernel {
  setUp(
    x: number,
    y: number,
    z: number,
    populations: number,
    slot: number,
    mask: number,
    taus: number,
  ): void
  setEddies(smagorinsky: number): void
  step(odd: number): void
  add(addresses: number, amounts: number, count: number, factor: number): void
  hold(places: number, figures: number, count: number): void
  reflect(sources: number, targets: number, count: number): void
  moments(odd: number, out: number): void
  accumulate(moments: number, kept: number): void
  copy(to: number, from: number, bytes: number): void
}

/** Memory that the kernel works in; grown, its old views are dead. */
export interface KernelMemory {
  readonly buffer: ArrayBuffer
  grow(pages: number): number
}

/** What core asks of the machine it runs on, in a browser as in Node. */
interface Machine {
  readonly WebAssembly: {
    readonly Module: new (bytes: Uint8Array) => object
    readonly Instance: new (module: object, imports: object) => { readonly exports: object }
    readonly Memory: new (size: { readonly initial: number }) => KernelMemory
  }
  atob(base64: string): string
}
const machine = globalThis as unknown as Machine

let compiled: object | null = null

/** So many pages of 64 KiB. */
export function kernelMemory(pages: number): KernelMemory {
  return new machine.WebAssembly.Memory({ initial: pages })
}

/** The compiled inner loops over a memory; throws where the machine has no WebAssembly with SIMD. */
export function kernelOver(memory: KernelMemory): Kernel {
  compiled ??= new machine.WebAssembly.Module(bytesOf(KERNEL_BASE64))
  const instance = new machine.WebAssembly.Instance(compiled, { env: { memory } })
  return instance.exports as Kernel
}

function bytesOf(base64: string): Uint8Array {
  const text = machine.atob(base64)
  const bytes = new Uint8Array(text.length)
  for (let i = 0; i < text.length; i++) bytes[i] = text.charCodeAt(i)
  return bytes
}
