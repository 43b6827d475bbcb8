import { sizeAtTee, sizesFit } from '../../layout/index.ts'
import { isHose, sizeWords } from '../../pipe/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { LineCase } from '../case/line-case.ts'
import { factIf, rule } from '../rule.ts'

/** A takeoff whose first pipe is not of the tee's size. */
export const startDoesNotMeet = rule({
  code: 'sizes-do-not-meet',
  station: 'return',
  severities: ['watch'],
  holds: 'A line begins or ends in another size than the tee it meets.',
  condition: ({ laid, whole }: LineCase) => {
    const { start, run } = laid.line
    const atTee = start.at === 'tee' ? sizeAtTee(whole.layout, start.id) : null
    return factIf(atTee && !sizesFit(atTee, run.size) ? atTee : null)
  },
  title: ({ laid }) => sentence('{line} does not fit its tee', { line: laid.line.name }),
  reason: ({ laid: { line } }, atTee) => {
    const { size: own } = line.run
    const hose = isHose(own.series) !== isHose(atTee.series)
    return sentence(
      hose
        ? 'The tee is {size} and the line begins in {size2}: a barbed adapter is needed. Its loss is counted.'
        : 'The tee is {size} and the line begins in {size2}: a reducer is needed, or a reducing tee. Its loss is counted.',
      { size: sizeWords(atTee), size2: sizeWords(own) },
    )
  },
  where: ({ laid }) => ({ pieceId: laid.line.run.pieces[0]?.id ?? null }),
})

/** A line that joins a tee of another size. */
export const joinDoesNotMeet = rule({
  code: 'sizes-do-not-meet',
  station: 'return',
  severities: ['watch'],
  holds: 'A line begins or ends in another size than the tee it meets.',
  condition: ({ laid, whole }: LineCase) => {
    const { end, run } = laid.line
    if (end.at !== 'tee' || end.id === null) return []
    const atTee = sizeAtTee(whole.layout, end.id)
    const last = laid.placed.at(-1)?.sizeAfter ?? run.size
    return atTee && !sizesFit(atTee, last) ? [{ atTee, last }] : []
  },
  title: ({ laid }) => sentence('{line} does not fit the tee it joins', { line: laid.line.name }),
  reason: (_, { atTee, last }) =>
    sentence('It arrives in {size} and the tee is {size2}.', {
      size: sizeWords(last),
      size2: sizeWords(atTee),
    }),
  where: ({ laid }) => ({ pieceId: laid.line.run.pieces.at(-1)?.id ?? null }),
})
