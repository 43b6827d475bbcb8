import { type BasinDesign, type Edit, planOf, setTo } from '../../design/index.ts'
import { clearanceM } from '../../device/index.ts'
import { sumpEdits, withHeight, withLength } from '../../editing/index.ts'
import { LEAST_RUNNING_DEPTH_M, type Whole } from '../../finding/index.ts'
import { chamberAreasM2 } from '../../loop/index.ts'
import { sentence, upToMillimetre } from '../../quantity/index.ts'
import { breakHoleIn, breakHoleWords } from '../break-hole.ts'
import type { Change } from './change.ts'

/** Room that a sump’s panels leave under a tank that stands over it, m (choice: a stand's top). */
const UNDER_TANK_M = 0.03
/** A sump is made longer by no more than this (choice). */
const MOST_LONGER = 2

/** All that may keep a power cut off the floor, the least work first. */
export function powerCutLevers(whole: Whole): Change[] {
  return [...breakHoles(whole), ...filledLower(whole), ...biggerSump(whole)]
}

/** A hole for every outlet under water that has none. */
export function breakHoles({ layout }: Whole): Change[] {
  const edits = layout.lines.flatMap(({ line: { end }, end: stands, index }): Edit[] =>
    end.at === 'tank' && stands === 'under-water' && end.breakDepthM === null
      ? [breakHoleIn(index)]
      : [],
  )
  return edits.length > 0 ? [{ label: breakHoleWords(), edits }] : []
}

/** The return chamber down to its line, or as low as the pump runs. */
export function filledLower({ design, steady, sump }: Whole): Change[] {
  const { box, chambers } = design.sump
  const outage = sump.outage
  if (!box || !outage) return []
  const nowM = chambers[steady.returnIndex]!.levelM
  const leastM = leastLevelM(design, box.floorHeightM)
  const levelM = Math.max(leastM, Math.min(nowM, outage.fillLineM ?? leastM))
  if (levelM >= nowM - 0.001) return []
  return [
    {
      label: sentence('Fill the return chamber to {level} while it runs', {
        level: ['length', levelM - box.floorHeightM],
      }),
      edits: [setTo(['sump', 'chambers', steady.returnIndex, 'levelM'], levelM)],
    },
  ]
}

function leastLevelM({ returnSide }: BasinDesign, floorM: number): number {
  const inlets = returnSide.pumps.map(({ inletHeightM }) => inletHeightM ?? -Infinity)
  return Math.max(floorM + LEAST_RUNNING_DEPTH_M, ...inlets.map((inletM) => inletM + 0.05))
}

/** The wall that holds a chamber too high, as much lower as it stands over the rim's margin. */
export function wallsLower({ design, steady }: Whole, chamber: number): Change[] {
  const { box, walls, marginM } = design.sump
  const wall = walls[chamber]
  if (!box || !wall || wall.kind === 'under') return []
  const overM = steady.chambers[chamber]!.levelM - (box.floorHeightM + box.heightM - marginM)
  const topM = wall.topM - overM
  if (overM <= 0 || topM < 0.05) return []
  return [
    {
      label: sentence('Make the wall {top} high', { top: ['length', topM] }),
      edits: [setTo(['sump', 'walls', chamber, 'topM'], topM)],
    },
  ]
}

/** The sump's panels as high as that, to the millimetre; none where the tanks over it leave no room. */
export function raisedPanels({ sump, tanks }: BasinDesign, wantedM: number): Change[] {
  const heightM = upToMillimetre(wantedM)
  const { box } = sump
  if (!box) return []
  const over = tanks.filter((tank) => clearanceM(planOf(tank), planOf(box)) < 0)
  const mostM = Math.min(...over.map(({ floorHeightM }) => floorHeightM)) - UNDER_TANK_M
  if (box.floorHeightM + heightM > mostM) return []
  return [
    {
      label: sentence('Raise the sump’s panels to {height}', { height: ['length', heightM] }),
      edits: [setTo(['sump'], withHeight(sump, heightM))],
    },
  ]
}

/** What has no room, as height of its panels or as length. */
export function biggerSump({ design, steady, sump: { outage } }: Whole): Change[] {
  const { sump } = design
  const { box } = sump
  if (!box || !outage) return []
  const areaM2 = chamberAreasM2(sump, box).reduce((sum, area) => sum + area, 0)
  const shortM = sump.marginM - outage.marginM + (outage.missingM3 > 0 ? 0 : 0.005)
  const shortM3 = Math.max(outage.missingM3, shortM * areaM2)
  if (shortM3 <= 0) return []
  const freeM = Math.max(0.05, box.floorHeightM + box.heightM - levelOf(steady))
  const lengthM = upToCentimetre(box.lengthM * (1 + shortM3 / (areaM2 * freeM)))
  return [
    ...raisedPanels(design, box.heightM + shortM3 / areaM2),
    ...(lengthM <= box.lengthM * MOST_LONGER
      ? [
          {
            label: sentence('Make the sump {length} long', { length: ['length', lengthM] }),
            edits: sumpEdits(design, withLength(sump, lengthM)),
          },
        ]
      : []),
  ]
}

const levelOf = ({ chambers, returnIndex }: Whole['steady']) => chambers[returnIndex]!.levelM
const upToCentimetre = (lengthM: number) => Math.ceil(lengthM * 100) / 100
