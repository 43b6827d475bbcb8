import { existsSync } from 'node:fs'
import { must, run, StepFailed } from './run.mjs'

const isRoot = () => process.getuid?.() === 0

/** Installs Debian packages where that is possible; says how to where it is not. */
export async function installDebian(step, packages, say) {
  const line = `apt-get install -y --no-install-recommends ${packages.join(' ')}`
  const advice = `as root, run: apt-get update && ${line}`
  const asRoot = isRoot() ? [] : (await passwordlessSudo()) ? ['sudo', '-n'] : null
  if (!existsSync('/usr/bin/apt-get') || asRoot === null) {
    throw new StepFailed(
      step,
      `${packages.join(', ')} is not installed and may not be installed from here`,
      advice,
    )
  }
  say(`Installing ${packages.join(', ')} from Debian's packages`)
  const env = { DEBIAN_FRONTEND: 'noninteractive' }
  const apt = (...args) => [...asRoot, 'apt-get', ...args]
  const [update, ...updateArgs] = apt('update')
  await must({ step, advice }, update, updateArgs, { env })
  const [install, ...installArgs] = apt('install', '-y', '--no-install-recommends', ...packages)
  await must({ step, advice }, install, installArgs, { env })
}

async function passwordlessSudo() {
  return (await run('sudo', ['-n', 'true'])).code === 0
}
