import { building } from '@yew-basin/core'

/** How finely pipe is measured in inches. */
export const PIPE_PARTS = 32

/** What may become of a piece, in words. */
export const CUT_WORDS: Readonly<Record<building.Cut['verdict'], string>> = {
  fine: '',
  'cannot-be-used-again': 'can be glued; too short to saw out and use again',
  'too-short-to-glue': 'too short to glue',
  'spigot-off': 'the spigot does not end in its socket',
}

/** What a cut goes between: "union – elbow". */
export function betweenWords(cut: building.Cut, runs: readonly building.BuiltRun[]): string {
  const bodies = runs.find(({ id }) => id === cut.routeId)?.bodies ?? []
  return cut.between
    .map((id) => bodies.find((body) => body.id === id)?.kind)
    .map((kind) => (kind ? building.BODY_NAME[kind] : ''))
    .join(' – ')
}

/** What pipe goes into, as far as its length is concerned. */
export const TAKE_OFF_WORDS: Readonly<Record<building.OwnTakeOff['kind'], string>> = {
  'elbow-90': 'elbow 90°',
  'elbow-45': 'elbow 45°',
  tee: 'tee',
  coupling: 'coupling',
  union: 'union',
  valve: 'valve',
  bulkhead: 'bulkhead',
  adapter: 'adapter',
  cap: 'cap',
  device: 'device’s port',
  'open-end': 'open end',
}

/** Cuts of each size, with the stocks they come out of and what the size is called. */
export const cutGroups = ({
  plans,
  cuts,
  list,
}: Pick<building.BuildSheet, 'plans' | 'cuts' | 'list'>) =>
  plans.map((cutPlan) => {
    const keyOf = ({ kind, size }: Pick<building.Cut, 'kind' | 'size'>) =>
      `${kind} ${size.series} ${size.size}`
    const key = keyOf(cutPlan)
    return {
      key,
      cutPlan,
      own: cuts.filter((cut) => keyOf(cut) === key),
      title: list.find((line) => line.key === key)?.size ?? '',
    }
  })
