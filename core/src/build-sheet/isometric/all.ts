import type { BasinDesign } from '../../design/index.ts'
import { namedSubAssemblies } from '../assembly/named-pieces.ts'
import { plumbingOf } from '../plumbing.ts'
import { type Isometric, isometricOf } from './isometric.ts'

/** An isometric and what it is of. */
export interface TitledIsometric {
  readonly kind: 'whole' | 'run' | 'sub-assembly'
  readonly title: string
  readonly isometric: Isometric
}

/** With fewer joints a sub-assembly is told by its run. */
const LEAST_JOINTS = 3

/** Every isometric that a printed sheet has: the whole from two sides, each run, each sub-assembly of several runs or joints. */
export function isometricsOf(design: BasinDesign): TitledIsometric[] {
  return [
    ...([0, 2] as const).map((turn) => ({
      kind: 'whole' as const,
      title: turn === 0 ? 'All of it, from the front right' : 'All of it, from the back left',
      isometric: isometricOf(design, { kind: 'whole' }, turn),
    })),
    ...plumbingOf(design).routes.map(({ id, name }) => ({
      kind: 'run' as const,
      title: name,
      isometric: isometricOf(design, { kind: 'run', routeId: id }),
    })),
    ...namedSubAssemblies(design)
      .filter(({ joints }) => joints >= LEAST_JOINTS)
      .map(({ id, name }) => ({
        kind: 'sub-assembly' as const,
        title: `Sub-assembly ${name}`,
        isometric: isometricOf(design, { kind: 'sub-assembly', id }),
      })),
  ]
}
