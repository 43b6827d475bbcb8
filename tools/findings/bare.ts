import { applyEdits, type BasinDesign, editing, type OverflowForm } from '@yew-basin/core'
import { STARTER_DESIGN } from '../../server/src/demo/starter.ts'

/** A sump of usual sizes, as its form offers it, m. */
const SUMP = {
  make: 'bought',
  lengthM: 0.884,
  widthM: 0.384,
  heightM: 0.392,
  panelM: 0.008,
} as const
/** Chambers behind the wall of an all-in-one, m. */
const BEHIND = { ...SUMP, lengthM: 0.9, widthM: 0.12, heightM: 0.5 } as const
const FOUR = ['socks', 'skimmer', 'refugium', 'trap', 'trap', 'return'] as const
const THREE_BEHIND = ['socks', 'media', 'return'] as const
const BOXES: readonly OverflowForm[] = ['inner-box', 'outer-box', 'inner-and-outer', 'hung-box']

const edited = (design: BasinDesign, edits: Parameters<typeof applyEdits>[1]) =>
  applyEdits(design, editing.withFollowing(design, edits))

const withOverflow = (design: BasinDesign, form: OverflowForm) =>
  edited(design, editing.otherOverflow(design, 0, { form, place: 'back' }))

const drained = (design: BasinDesign, school: editing.DrainSchool) =>
  edited(design, editing.schoolEdits(design, 0, { school, series: 'pn-16' }))

function overSump(
  design: BasinDesign,
  sizes: Parameters<typeof editing.newSumpBox>[1],
  uses: Parameters<typeof editing.newSump>[2],
): BasinDesign {
  const box = editing.newSumpBox(design, sizes)
  return edited(design, editing.sumpEdits(design, editing.newSump(design.sump, box, uses)))
}

/** An all-in-one, and the same with a box hung over its rim and its sump below. */
function allInOnes(): Bare[] {
  const plain = overSump(withOverflow(STARTER_DESIGN, 'rear-chambers'), BEHIND, THREE_BEHIND)
  const over = drained(withOverflow(plain, 'hung-box'), 'siphon-emergency')
  return [
    { name: 'all-in-one', design: plain },
    { name: 'all-in-one, hung-box', design: overSump(over, SUMP, FOUR) },
  ]
}

/** A basin to which nothing was done but the least. */
interface Bare {
  readonly name: string
  readonly design: BasinDesign
}

/** A new basin with nothing changed in it but how its water leaves and its sump, by every form and school. */
export function bareBasins(): Bare[] {
  const laid = BOXES.flatMap((form) =>
    editing.DRAIN_SCHOOLS.flatMap(({ school }) => {
      const open = drained(withOverflow(STARTER_DESIGN, form), school)
      return [
        { name: `${form}, ${school}, no sump yet`, design: open },
        { name: `${form}, ${school}`, design: overSump(open, SUMP, FOUR) },
      ]
    }),
  )
  return [...laid, ...allInOnes()]
}
