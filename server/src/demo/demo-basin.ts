import type { BasinDesign } from '@yew-basin/core'

/** A basin of the sample world. */
export interface DemoBasin {
  readonly name: string
  readonly note: string
  readonly designName: string
  readonly design: BasinDesign
}
