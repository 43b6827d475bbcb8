import { spawn } from 'node:child_process'
import { ROOT } from './paths.mjs'

/** A step that failed, with what to do about it. */
export class StepFailed extends Error {
  constructor(step, what, advice) {
    super(`${step} failed: ${what}`)
    this.advice = advice
  }
}

const underWay = new Set()

/** Ends the commands that run now: who is told to stop leaves none of them behind. */
export function endCommands() {
  for (const child of underWay) child.kill('SIGTERM')
}

/** Runs a command to its end; gives its exit code and all it printed. Never throws. */
export function run(
  command,
  args,
  { cwd = ROOT, env = {}, show = false, input = 'ignore', user = {} } = {},
) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: [input, 'pipe', 'pipe'],
      ...user,
    })
    underWay.add(child)
    let output = ''
    let stdout = ''
    child.stdout.on('data', (chunk) => {
      output += chunk
      stdout += chunk
      if (show) process.stdout.write(chunk)
    })
    child.stderr.on('data', (chunk) => {
      output += chunk
      if (show) process.stderr.write(chunk)
    })
    child.on('error', (error) => {
      underWay.delete(child)
      resolve({ code: 127, output: error.message, stdout: '' })
    })
    child.on('close', (code, signal) => {
      underWay.delete(child)
      resolve({ code: code ?? (signal ? 130 : 1), output, stdout })
    })
  })
}

/** Runs a command that must work; else the step has failed and says so with its last lines. */
export async function must({ step, advice }, command, args, options) {
  const result = await run(command, args, options)
  if (result.code === 0) return result
  const tail = result.output.trim().split('\n').slice(-15).join('\n')
  throw new StepFailed(step, `${command} ended with ${result.code}\n${tail}`, advice)
}

/** What the system says of a folder or file, and what a keeper can do about it. */
const FILE_ADVICE = {
  ENOSPC: 'the disk is full: make room and start again; nothing was lost.',
  EDQUOT: 'the disk quota is used up: make room and start again; nothing was lost.',
  EACCES: 'give the user who starts it the right to read and write there, or set YEW_DATA_DIR.',
  EPERM: 'give the user who starts it the right to read and write there, or set YEW_DATA_DIR.',
  EROFS: 'that disk can only be read: set YEW_DATA_DIR to a folder on another one.',
  ENOTDIR: 'a file stands where a folder must be: set YEW_DATA_DIR to a folder.',
  EEXIST: 'a file stands where a folder must be: set YEW_DATA_DIR to a folder.',
  EISDIR: 'a folder stands where a file must be: move it away.',
}

/** A refusal of the file system as a failed step; anything else as it was. */
export function asStepFailed(step, error) {
  const advice = FILE_ADVICE[error?.code]
  return advice ? new StepFailed(step, error.message, advice) : error
}

/** Runs main; a failed step is reported in two lines and ends with status 1. */
export async function reporting(main) {
  try {
    await main()
  } catch (thrown) {
    const error = asStepFailed('Starting', thrown)
    if (!(error instanceof StepFailed)) throw error
    console.error(`\n${error.message}`)
    console.error(`What to do: ${error.advice}`)
    process.exitCode = 1
  }
}
