import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { ensureChromium } from './setup/chromium.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { inRoot } from './setup/paths.mjs'
import { freePort } from './setup/ports.mjs'
import { ensurePostgres } from './setup/postgres.mjs'
import { run, StepFailed } from './setup/run.mjs'

const say = (text) => console.log(`· ${text}`)
const bin = (name) => inRoot('node_modules', '.bin', name)
const scratch = mkdtempSync(path.join(os.tmpdir(), 'yew-basin-run-'))
// The database's own user must be able to pass through it.
chmodSync(scratch, 0o755)
const total = { passed: 0, failed: 0 }

const seconds = (since) => `${Math.round((Date.now() - since) / 1000)} s`

function count(passed, failed) {
  total.passed += passed
  total.failed += failed
}

/** A check that passes or fails as a whole; one that tells something is printed in any case. */
async function check(name, command, args, tells = false) {
  const started = Date.now()
  const { code, output } = await run(command, args)
  say(`${name} (${seconds(started)})`)
  if (code !== 0 || tells) console.log(output.trimEnd())
  count(code === 0 ? 1 : 0, code === 0 ? 0 : 1)
}

const readReport = (file) => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return null
  }
}

/** Jest counts its own tests; a suite that could not run at all counts as one failure. */
async function jest(name, projects, workers) {
  const report = path.join(scratch, `jest-${projects[0]}.json`)
  const started = Date.now()
  const { code, output } = await run(process.execPath, [
    '--experimental-vm-modules',
    '--no-warnings',
    inRoot('node_modules/jest/bin/jest.js'),
    '--json',
    `--outputFile=${report}`,
    `--maxWorkers=${workers}`,
    '--selectProjects',
    ...projects,
  ])
  say(`${name} (${seconds(started)})`)
  const found = readReport(report)
  if (code !== 0) console.log(output.replace(/^\{"num.*$/m, ''))
  if (!found) return count(0, 1)
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = found
  console.log(`  ${numPassedTests} passed, ${numFailedTests + numRuntimeErrorTestSuites} failed`)
  count(
    numPassedTests,
    numFailedTests +
      numRuntimeErrorTestSuites +
      (code !== 0 && numFailedTests + numRuntimeErrorTestSuites === 0 ? 1 : 0),
  )
}

async function browser(chromium) {
  const started = Date.now()
  const report = path.join(scratch, 'browser.json')
  const { code, output } = await run(bin('playwright'), ['test'], {
    cwd: inRoot('e2e'),
    env: {
      YEW_E2E_PORT: String(await freePort()),
      YEW_E2E_DATA: path.join(scratch, 'data'),
      YEW_E2E_REPORT: report,
      YEW_E2E_BROWSER: chromium,
    },
  })
  const found = readReport(report)
  say(`Browser tests (${seconds(started)})`)
  console.log(code === 0 ? measurements(output) : output)
  if (!found) return count(0, 1)
  const { expected, unexpected, flaky } = found.stats
  console.log(`  ${expected} passed, ${unexpected + flaky} failed`)
  count(expected, unexpected + flaky + (code !== 0 && unexpected + flaky === 0 ? 1 : 0))
}

/** One after the other: two installations at once lock each other out. Answers where the browser is. */
async function programs() {
  await ensurePostgres(say)
  return ensureChromium(say)
}

const FOLDERS = ['core', 'contract', 'server', 'web/src', 'e2e', 'tools']
/** What is checked as a whole: name, program, arguments; the longest first. */
const CHECKS = [
  ['Types of the pages', 'vue-tsc', '-p', 'web/tsconfig.json', '--noEmit'],
  ['Lint of the pages', 'eslint', '--max-warnings', '0', 'web'],
  ['Format', 'prettier', '--check', '--log-level', 'warn', '.'],
  ['Types', 'tsc', '-p', 'tsconfig.json'],
  ['Walls between the folders', 'depcruise', ...FOLDERS, '--config', '.dependency-cruiser.cjs'],
  ['Lint', 'oxlint', '--deny-warnings'],
  ['Words of the core', 'eslint', '--config', 'eslint.words.config.js', 'core/src'],
]
/** As many at once as any machine has cores. */
const LANES = 2

async function checks() {
  const left = [...CHECKS]
  const lane = async () => {
    while (left.length > 0) {
      const [name, program, ...args] = left.shift()
      await check(name, bin(program), args)
    }
  }
  await Promise.all(Array.from({ length: LANES }, lane))
}

/** A command that has a long form of its own, shortly; it tells what it found. */
const shortForm = (name, tool, how) =>
  check(`${name}, the short form`, process.execPath, [inRoot('tools', tool), how], true)

async function judgements() {
  await shortForm('Verdicts', 'verdicts.mjs', '4')
  await shortForm('Findings', 'findings.mjs', '1')
}

/** The figures that the browser tests print. */
function measurements(output) {
  return output
    .split('\n')
    .filter((line) => / ms \(median|kB of script|frames a second/.test(line))
    .join('\n')
}

try {
  const [chromium] = await Promise.all([programs(), ensurePackages(say)])
  await check('Size of the rooms', process.execPath, [inRoot('tools', 'rooms.mjs')], true)
  await check('Names', process.execPath, [inRoot('tools', 'names.mjs')], true)
  await check('Front door', process.execPath, [inRoot('tools', 'front-door.mjs')], true)
  await check('Shares of tests', process.execPath, [inRoot('tools', 'test-shares.mjs')], true)
  await check('Documentation', process.execPath, [inRoot('tools', 'documented.mjs')], true)
  await check('Documents', process.execPath, [inRoot('tools', 'readmes.mjs')], true)
  await checks()
  await Promise.all([
    jest('Unit tests', ['core', 'contract', 'web'], '100%'),
    // Many of these wait on one database: side by side they only run into each other's time limits.
    jest('Server tests', ['server', 'tools'], '1'),
  ])
  // One core each.
  await Promise.all([judgements(), shortForm('Attack', 'attack.mjs', '--short')])
  await browser(chromium)
} catch (error) {
  if (!(error instanceof StepFailed)) throw error
  console.error(`${error.message}\nWhat to do: ${error.advice}`)
  count(0, 1)
} finally {
  rmSync(scratch, { recursive: true, force: true })
}
console.log(`${total.passed} passed, ${total.failed} failed`)
process.exitCode = total.failed === 0 && total.passed > 0 ? 0 : 1
