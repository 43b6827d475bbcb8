import { type DisplayTank, type Edit, setTo } from '../../design/index.ts'

/** Other inside sizes of a tank; its rim, its overflow and what is led to it follow (`follow/`). */
export function resizedTank(
  index: number,
  { lengthM, widthM, heightM }: Pick<DisplayTank, 'lengthM' | 'widthM' | 'heightM'>,
): Edit[] {
  return [
    setTo(['tanks', index, 'lengthM'], lengthM),
    setTo(['tanks', index, 'widthM'], widthM),
    setTo(['tanks', index, 'heightM'], heightM),
  ]
}
