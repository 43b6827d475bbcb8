import type { building } from '@yew-basin/core'
import { barLabel, type LabelOf, signLabel } from './isometric-labels.ts'

/** At each piece its mark alone; what pumps and devices are called. */
export const markLabels = ({ bars, signs }: building.Isometric): LabelOf[] => [
  ...bars.filter(({ cut }) => cut).map((bar) => barLabel(bar, [bar.cut!.mark])),
  ...signs
    .filter(({ kind, name }) => name && (kind === 'pump' || kind === 'device'))
    .map((sign) => signLabel(sign, [sign.name])),
]
