import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { inRoot } from './paths.mjs'
import { must, StepFailed } from './run.mjs'

const STAMP = inRoot('node_modules', '.yew-basin-lock')
const LEAST_NODE = [20, 19]

function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  const fits = major > LEAST_NODE[0] || (major === LEAST_NODE[0] && minor >= LEAST_NODE[1])
  if (fits) return
  throw new StepFailed(
    'Node.js',
    `this is Node ${process.versions.node}`,
    `install Node ${LEAST_NODE.join('.')} or newer and try again.`,
  )
}

/** npm packages exactly as the lockfile has them; does nothing when they already are. */
export async function ensurePackages(say) {
  checkNode()
  const lock = createHash('sha256')
    .update(readFileSync(inRoot('package-lock.json')))
    .digest('hex')
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return
  say('Installing packages (about a minute, once)')
  await must(
    {
      step: 'Installing packages',
      advice: 'check that this machine reaches an npm registry, then run the command again.',
    },
    'npm',
    ['ci', '--include=dev', '--no-audit', '--no-fund'],
    { env: { NODE_ENV: 'development' } },
  )
  writeFileSync(STAMP, lock)
}
