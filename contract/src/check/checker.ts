import {
  getMetadataStorage,
  type ValidationArguments,
  type ValidatorConstraintInterface,
} from 'class-validator'
import { pathAt, type Findings } from './fault.ts'
import { nestedIn } from './nested.ts'

type Class = new () => object
type Metadata = ReturnType<
  ReturnType<typeof getMetadataStorage>['getTargetValidationMetadatas']
>[number]

/** One decorator of a property, ready to be asked. */
interface Rule {
  readonly constraint: ValidatorConstraintInterface
  readonly metadata: Metadata
}

/** All that the decorators say of one property. */
interface Property {
  readonly name: string
  /** Answers false where the property need not be looked at: null that may be null. */
  readonly conditions: readonly ((owner: object, value: unknown) => boolean)[]
  /** What its value must be, taken alone. */
  readonly own: readonly Rule[]
  /** What it must be together with its neighbours: asked once all of the object is as it must be alone. */
  readonly together: readonly Rule[]
  /** The class of its object or of each in its list; null: a plain value. */
  readonly nested: ((plain: object) => Checker) | null
}

/** Marks a rule that looks at more than its own value. */
export const TOGETHER = { together: true }

const made = new Map<Class, Checker>()

/** The checker of a class, made from its decorators once. */
export function checkerOf(type: Class): Checker {
  let checker = made.get(type)
  if (!checker) made.set(type, (checker = new Checker(type)))
  return checker
}

/**
 * A contract class's decorators as lists to run down: one visit a value, no search. The validator's own walk finds
 * the decorators of a class anew for every object, and looks every unknown key up in a list.
 */
class Checker {
  readonly #type: Class
  readonly #properties: ReadonlyMap<string, Property>

  constructor(type: Class) {
    this.#type = type
    this.#properties = propertiesOf(type)
  }

  /** The plain object as this class; what is wrong in it is added to the findings. */
  read(plain: object, path: string, findings: Findings): object {
    const before = findings.faults.length
    const owner = new this.#type() as Record<string, unknown>
    for (const key of Object.keys(plain)) {
      if (this.#properties.has(key)) owner[key] = valueIn(plain, key)
      else findings.add(pathAt(path, key), 'is not a property of this format')
    }
    for (const property of this.#properties.values()) {
      if (findings.full) return owner
      this.#readProperty(property, owner, path, findings)
    }
    if (findings.faults.length === before) this.#askTogether(owner, path, findings)
    return owner
  }

  #readProperty(
    { name, conditions, own, nested }: Property,
    owner: Record<string, unknown>,
    path: string,
    findings: Findings,
  ): void {
    const value = owner[name]
    if (!conditions.every((holds) => holds(owner, value))) return
    const message = firstFault(own, owner, value)
    if (message !== null) findings.add(pathAt(path, name), message)
    else if (nested) owner[name] = readNested(value, nested, pathAt(path, name), findings)
  }

  #askTogether(owner: Record<string, unknown>, path: string, findings: Findings): void {
    for (const { name, conditions, together } of this.#properties.values()) {
      if (together.length === 0) continue
      const value = owner[name]
      if (!conditions.every((holds) => holds(owner, value))) continue
      const message = firstFault(together, owner, value)
      if (message !== null) findings.add(pathAt(path, name), message)
    }
  }
}

function valueIn(plain: object, key: string): unknown {
  return (plain as Record<string, unknown>)[key]
}

const NO_OBJECT = 'must be an object, or a list of objects'

function readNested(
  value: unknown,
  nested: NonNullable<Property['nested']>,
  path: string,
  findings: Findings,
): unknown {
  if (!Array.isArray(value)) {
    if (typeof value === 'object' && value !== null)
      return nested(value).read(value, path, findings)
    findings.add(path, NO_OBJECT)
    return value
  }
  return value.map((entry: unknown, i) => {
    if (findings.full) return entry
    if (typeof entry === 'object' && entry !== null && !Array.isArray(entry))
      return nested(entry).read(entry, `${path}[${i}]`, findings)
    findings.add(`${path}[${i}]`, 'must be an object')
    return entry
  })
}

function firstFault(rules: readonly Rule[], object: object, value: unknown): string | null {
  for (const { constraint, metadata } of rules) {
    const { propertyName: property, constraints } = metadata
    const targetName = object.constructor.name
    const args: ValidationArguments = { value, object, property, targetName, constraints }
    if (constraint.validate(value, args) === true) continue
    const message = metadata.message as ValidationArgumentsMessage | undefined
    if (typeof message === 'function') return message(args)
    return message ?? constraint.defaultMessage?.(args) ?? 'is not right'
  }
  return null
}

type ValidationArgumentsMessage = string | ((args: ValidationArguments) => string)

function propertiesOf(type: Class): Map<string, Property> {
  const all = getMetadataStorage().getTargetValidationMetadatas(type, '', false, false)
  const names = [...new Set(all.map(({ propertyName }) => propertyName))]
  return new Map(
    names.map((name) => [
      name,
      propertyOf(
        type,
        name,
        all.filter(({ propertyName }) => propertyName === name),
      ),
    ]),
  )
}

function propertyOf(type: Class, name: string, all: readonly Metadata[]): Property {
  const rules = all
    .filter(({ type: kind }) => kind === 'customValidation')
    .map((metadata) => ({
      metadata,
      constraint: new (metadata.constraintCls as new () => ValidatorConstraintInterface)(),
    }))
  const isTogether = ({ metadata }: Rule) => metadata.context === TOGETHER
  return {
    name,
    conditions: all
      .filter(({ type: kind }) => kind === 'conditionalValidation')
      .map(({ constraints }) => constraints[0] as Property['conditions'][number]),
    own: rules.filter((rule) => !isTogether(rule)),
    together: rules.filter(isTogether),
    nested: all.some(({ type: kind }) => kind === 'nestedValidation')
      ? nestedClass(type, name)
      : null,
  }
}

function nestedClass(type: Class, name: string): NonNullable<Property['nested']> {
  const nested = nestedIn(type, name)
  if (!nested) throw new Error(`${type.name}.${name} is nested, and of no class`)
  const { whole, key, kinds } = nested
  if (key === null) return () => checkerOf(whole())
  return (plain) => {
    const kind = valueIn(plain, key)
    return checkerOf((typeof kind === 'string' && kinds.get(kind)) || whole())
  }
}
