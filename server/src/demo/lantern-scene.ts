import {
  emptyScene,
  type CirculationPump,
  type RockSolid,
  type TankScene,
  type ZoneKind,
} from '@yew-basin/core'
import { sampleCirculation } from './circulation.ts'

/** Places and sizes in mm, as one measures them. */
type Sizes = readonly [number, number, number, number, number, number]

function rock(
  id: string,
  name: string,
  {
    form,
    zone,
    mm,
  }: { readonly form: RockSolid['form']; readonly zone: ZoneKind; readonly mm: Sizes },
): RockSolid {
  const [xM, yM, zM, lengthM, widthM, heightM] = mm.map((size) => size / 1000) as unknown as Sizes
  return { id, name, form, zone, xM, yM, zM, lengthM, widthM, heightM }
}

function pump(
  id: string,
  name: string,
  position: Pick<CirculationPump, 'panel' | 'alongM' | 'upM' | 'turnDeg' | 'tiltDeg'>,
  group: 'first' | 'second',
): CirculationPump {
  return {
    id,
    name,
    part: sampleCirculation('swift-12'),
    ...position,
    upright: false,
    speed: 0.85,
    pattern: { kind: 'alternate', periodS: 20, low: 0.5, group },
  }
}

/** A lagoon: two low reefs of soft and large-polyp corals over a broad bed of sand. */
export const LANTERN_SCENE: TankScene = {
  ...emptyScene(),
  rocks: [
    rock('reef-left', 'West reef', {
      form: 'boulder',
      zone: 'soft',
      mm: [180, 330, -60, 420, 380, 320],
    }),
    rock('reef-crown', 'West crown', {
      form: 'boulder',
      zone: 'small-polyp',
      mm: [290, 420, 200, 200, 200, 120],
    }),
    rock('reef-right', 'East reef', {
      form: 'boulder',
      zone: 'large-polyp',
      mm: [820, 260, -70, 400, 400, 300],
    }),
    rock('reef-shelf', 'East shelf', {
      form: 'box',
      zone: 'large-polyp',
      mm: [960, 480, 200, 260, 160, 60],
    }),
  ],
  pumps: [
    pump(
      'west-pump',
      'West',
      { panel: 'left', alongM: 0.26, upM: 0.34, turnDeg: 0, tiltDeg: 0 },
      'first',
    ),
    pump(
      'east-pump',
      'East',
      { panel: 'right', alongM: 0.62, upM: 0.34, turnDeg: 10, tiltDeg: 0 },
      'second',
    ),
  ],
}
