import { type Device, type Edit, setTo, standsInWater } from '../design/index.ts'
import { chamberRectangle, clearanceOf, sumpRectangle } from '../figures/index.ts'
import {
  deviceDoesNotFit,
  deviceMeetsSump,
  devicesCollide,
  meterNotUpright,
  noHandRoom,
  type Whole,
} from '../finding/index.ts'
import type { Rectangle } from '../device/index.ts'
import { sentence } from '../quantity/index.ts'
import { type FindingCandidate, type FindingFixes, fixesFor } from './finding-fix.ts'

/** Places tried along each side of what a device stands in (choice). */
const PLACES = 5
/** Beside the sump it stands so far off (choice), m. */
const BESIDE_M = 0.03
/** So many places are offered at most (choice). */
const MOST_PLACES = 2

/** What gives a device a place where it fits. */
export const DEVICE_FIXES: readonly FindingFixes[] = [
  fixesFor(deviceDoesNotFit, ({ whole, index }) => clearPlaces(whole, index)),
  fixesFor(devicesCollide, ({ whole, index }) => clearPlaces(whole, index)),
  fixesFor(deviceMeetsSump, ({ whole, index }) => clearPlaces(whole, index)),
  fixesFor(noHandRoom, ({ whole, index }) => clearPlaces(whole, index)),
  fixesFor(meterNotUpright, ({ device, line, index }) =>
    (line?.laid.line.run.pieces ?? []).flatMap((piece): FindingCandidate[] =>
      piece.kind === 'pipe' && piece.direction === 'up' && piece.lengthM >= device.part.heightM
        ? [
            {
              label: sentence('Stand it in the pipe that goes up {length}', {
                length: ['length', piece.lengthM],
              }),
              brings: () => sentence('Its float then rises with the water.'),
              edits: [setTo(['sump', 'devices', index, 'pieceId'], piece.id)],
            },
          ]
        : [],
    ),
  ),
]

interface Placed {
  readonly device: Device
  readonly handM: number
}

/** Where a device runs into nothing: in its chamber or beside the sump, first where a hand has most room. */
function clearPlaces({ design: { sump } }: Whole, index: number): FindingCandidate[] {
  const now = sump.devices[index]!
  const clear = [false, true].flatMap((turned) => {
    const placed = { ...now, turned }
    return placesOf(sump, placed).flatMap(({ xM, yM }): Placed[] => {
      const device = { ...placed, xM, yM }
      const room = clearanceOf(sump, device)
      const fits =
        room && room.sticksOutM === 0 && room.collidesWith.length === 0 && !room.runsIntoSump
      return fits ? [{ device, handM: room.handM ?? Infinity }] : []
    })
  })
  const best = clear.sort((a, b) => b.handM - a.handM).slice(0, MOST_PLACES)
  return best.map((placed) => movedTo(now, index, placed))
}

function movedTo(now: Device, index: number, { device, handM }: Placed): FindingCandidate {
  const { xM, yM, turned } = device
  const at = ['sump', 'devices', index] as const
  const values = { x: ['length', xM], y: ['length', yM] } as const
  const edits: Edit[] = [setTo([...at, 'xM'], xM), setTo([...at, 'yM'], yM)]
  if (turned !== now.turned) edits.push(setTo([...at, 'turned'], turned))
  return {
    label: sentence(
      turned === now.turned
        ? 'Stand it {x} from the sump’s left and {y} from its front'
        : 'Turn it, and stand it {x} from the sump’s left and {y} from its front',
      values,
    ),
    brings: () =>
      Number.isFinite(handM)
        ? sentence('It runs into nothing there; {hand} are free on its widest side.', {
            hand: ['length', handM],
          })
        : sentence('It runs into nothing there.'),
    edits,
  }
}

type Sump = Whole['design']['sump']

/** Places to try: all over its chamber, or along the sump's back and front. */
function placesOf(sump: Sump, device: Device): { xM: number; yM: number }[] {
  const { box, chambers } = sump
  if (!box) return []
  const { lengthM, widthM } = device.part
  const [alongM, acrossM] = device.turned ? [widthM, lengthM] : [lengthM, widthM]
  if (!standsInWater(device)) {
    const around = sumpRectangle(box)
    return spread(around.fromXM, around.toXM - alongM).flatMap((xM) => [
      { xM, yM: around.toYM + BESIDE_M },
      { xM, yM: around.fromYM - BESIDE_M - acrossM },
    ])
  }
  const chamber = chambers.findIndex(({ id }) => id === device.chamberId)
  const inside: Rectangle = chamberRectangle(sump, box, chamber)
  return spread(inside.fromXM, inside.toXM - alongM).flatMap((xM) =>
    spread(inside.fromYM, inside.toYM - acrossM).map((yM) => ({ xM, yM })),
  )
}

/** Evenly from one end to the other; none where there is no room. */
function spread(fromM: number, toM: number): number[] {
  if (toM < fromM) return []
  return Array.from({ length: PLACES }, (_, i) => fromM + ((toM - fromM) * i) / (PLACES - 1))
}
