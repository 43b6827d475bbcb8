import { building } from '@yew-basin/core'

const KINDS: Readonly<Record<building.EndKind, string>> = {
  glued: 'glued',
  threaded: 'thread',
  union: 'union',
  barb: 'clamp',
  'push-fit': 'pushed on',
  gasket: 'gasket',
  spigot: 'spigot, glued',
}

/** Every joint of a run in the order of the water, as it is felt for: "3. elbow 90°, glued". */
export function leaksOf(run: building.BuiltRun, { joints }: Pick<building.BuildSheet, 'joints'>) {
  return joints
    .filter(({ routeId }) => routeId === run.id)
    .map((joint, i) => {
      const body = run.bodies.find(({ id }) => id === joint.bodyId)
      const what = body ? building.BODY_NAME[body.kind] : 'coupling'
      return { joint, words: `${i + 1}. ${what}, ${KINDS[joint.kind]}` }
    })
}
