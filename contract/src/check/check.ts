import 'reflect-metadata'
import { budgetFault } from './budget.ts'
import { checkerOf } from './checker.ts'
import { Findings, type Checked } from './fault.ts'

/** Holds plain data against a contract class: its faults, each with its path, or the data as that class. */
export function check<T extends object>(type: new () => T, plain: unknown): Checked<T> {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain)) {
    return { ok: false, faults: [{ path: '', message: 'must be an object' }] }
  }
  const over = budgetFault(plain)
  return over ? { ok: false, faults: [over] } : checkWithinBudget(type, plain)
}

/** The same for what was held against the budget already. */
export function checkWithinBudget<T extends object>(type: new () => T, plain: object): Checked<T> {
  const findings = new Findings()
  const value = checkerOf(type).read(plain, '', findings)
  return findings.faults.length === 0
    ? { ok: true, value: value as T }
    : { ok: false, faults: findings.faults }
}
