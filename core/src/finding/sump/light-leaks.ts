import { sentence } from '../../quantity/index.ts'
import type { ChamberCase } from '../case/chamber-case.ts'
import { rule } from '../rule.ts'

/** A lit refugium grows weed on whatever its light reaches. */
export const lightLeaks = rule({
  code: 'light-leaks',
  station: 'sump',
  severities: ['watch'],
  holds: 'A refugium’s walls let its light through.',
  condition: ({ chamber, whole, index }: ChamberCase) => {
    if (chamber.use !== 'refugium') return []
    const { walls } = whole.design.sump
    const clear = [index - 1, index].filter((at) => walls[at] && !walls[at].opaque)
    return clear.length > 0 ? [clear] : []
  },
  title: ({ chamber }) =>
    sentence('Light of {chamber} reaches the next chambers', { chamber: chamber.name }),
  reason: () =>
    sentence(
      'Weed grows where light falls: on the skimmer, the pump and the walls. An opaque wall or a screen keeps it in.',
    ),
})
