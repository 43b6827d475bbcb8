import { beforeEach, describe, expect, test } from '@jest/globals'
import { createPinia, setActivePinia } from 'pinia'
import { useLastPlaces } from '../src/workspace/last-places.ts'
import { PHASES, phaseOf, viewPathOf, WAY } from '../src/workspace/phases.ts'
import { STATIONS } from '../src/workspace/stations.ts'

const [DESIGN, PROVE] = PHASES

describe('the phases of the job', () => {
  test('every stop is of the water’s way, and of the design', () => {
    for (const stop of STATIONS) {
      expect(viewPathOf(stop)).toBe(WAY)
      expect(phaseOf(stop)).toBe(DESIGN)
    }
    expect(phaseOf(WAY)).toBe(DESIGN)
  })
  test('drills are of the proof; a place that is no view counts as the design', () => {
    expect(phaseOf('drills')).toBe(PROVE)
    expect(phaseOf('nowhere')).toBe(DESIGN)
  })
  test('each view stands once', () => {
    const paths = PHASES.flatMap(({ views }) => views.map(({ path }) => path))
    expect(new Set(paths).size).toBe(paths.length)
  })
})

describe('a view is come back to as it was left', () => {
  beforeEach(() => {
    setActivePinia(createPinia())
  })

  test('the water’s way at the stop it was left at', () => {
    const places = useLastPlaces()
    expect(places.toView('b', WAY)).toBe('/basins/b')
    places.came('b', 'drains')
    places.came('b', 'pumps')
    expect(places.toView('b', WAY)).toBe('/basins/b/drains')
    expect(places.toView('b', 'room')).toBe('/basins/b/room')
  })
  test('a phase at the view it was left at, else at its first', () => {
    const places = useLastPlaces()
    expect(places.toPhase('b', DESIGN!)).toBe('/basins/b')
    expect(places.toPhase('b', PROVE!)).toBe('/basins/b/drills')
    places.came('b', 'currents')
    places.came('b', 'drills')
    expect(places.toPhase('b', DESIGN!)).toBe('/basins/b/currents')
  })
  test('each basin by itself', () => {
    const places = useLastPlaces()
    places.came('b', 'sump')
    expect(places.toView('other', WAY)).toBe('/basins/other')
  })
})
