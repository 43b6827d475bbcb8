import { spawn } from 'node:child_process'
import { ROOT } from './paths.mjs'

/** A step that failed, with what to do about it. */
export class StepFailed extends Error {
  constructor(step, what, advice) {
    super(`${step} failed: ${what}`)
    this.advice = advice
  }
}

/** Runs a command to its end; gives its exit code and all it printed. Never throws. */
export function run(command, args, { cwd = ROOT, env = {}, show = false, input = 'ignore' } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: [input, 'pipe', 'pipe'],
    })
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
    child.on('error', (error) => resolve({ code: 127, output: error.message, stdout: '' }))
    child.on('close', (code, signal) =>
      resolve({ code: code ?? (signal ? 130 : 1), output, stdout }),
    )
  })
}

/** Runs a command that must work; else the step has failed and says so with its last lines. */
export async function must({ step, advice }, command, args, options) {
  const result = await run(command, args, options)
  if (result.code === 0) return result
  const tail = result.output.trim().split('\n').slice(-15).join('\n')
  throw new StepFailed(step, `${command} ended with ${result.code}\n${tail}`, advice)
}

/** Runs main; a failed step is reported in two lines and ends with status 1. */
export async function reporting(main) {
  try {
    await main()
  } catch (error) {
    if (!(error instanceof StepFailed)) throw error
    console.error(`\n${error.message}`)
    console.error(`What to do: ${error.advice}`)
    process.exitCode = 1
  }
}
