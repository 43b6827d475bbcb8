import {
  IsArray,
  IsIn,
  IsNumber,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  registerDecorator,
  ValidateIf,
  type ValidationArguments,
} from 'class-validator'
import { COUNTS, type Limit } from './limits.ts'
import { Noted } from './schema-notes.ts'

/** Several decorators as one. */
function together(...decorators: PropertyDecorator[]): PropertyDecorator {
  return (target, key) => decorators.forEach((decorate) => decorate(target, key))
}

/** What a property is for, in the generated schema. */
export function Describes(description: string): PropertyDecorator {
  return Noted({ description })
}

function shown(value: unknown): string {
  const text = JSON.stringify(value) ?? 'missing'
  return text.length > 40 ? `${text.slice(0, 40)}…` : text
}

const is = (args: ValidationArguments) =>
  args.value === undefined ? 'it is missing' : `it is ${shown(args.value)}`

/** A number inside a limit, both ends allowed. */
export function Within(limit: Limit, description: string): PropertyDecorator {
  const message = (args: ValidationArguments) =>
    `must be a number from ${limit.min} to ${limit.max}; ${is(args)}`
  return together(
    IsNumber({ allowNaN: false, allowInfinity: false }, { message }),
    Min(limit.min, { message }),
    Max(limit.max, { message }),
    Describes(description),
  )
}

/** The same, or null. */
export function WithinOrNull(limit: Limit, description: string): PropertyDecorator {
  const orNull: PropertyDecorator = ValidateIf((_, value) => value !== null)
  const schema = {
    type: ['number', 'null'],
    description: `${description} null: not given.`,
  }
  return together(Within(limit, description), orNull, Noted(schema))
}

/** One of a few words. */
export function OneOf(words: readonly string[], description: string): PropertyDecorator {
  const message = (args: ValidationArguments) => `must be one of ${words.join(', ')}; ${is(args)}`
  return together(IsIn([...words], { message }), Describes(description))
}

/** Signs that are no text and that a database or a terminal may stumble over; a new line and a tab may stand. */
// oxlint-disable-next-line no-control-regex -- these are what is looked for
const NO_CONTROL = /^[^\u0000-\u0008\u000b-\u001f\u007f]*$/

/** Plain text with at least one sign that is not a space. */
export function Text(most: number, description: string, least = 1): PropertyDecorator {
  const message = (args: ValidationArguments) =>
    `must be text of ${least} to ${most} characters; ${is(args)}`
  return together(
    IsString({ message }),
    MinLength(least, { message }),
    MaxLength(most, { message }),
    ...(least > 0 ? [Matches(/\S/, { message })] : []),
    Matches(NO_CONTROL, { message: 'must be text without control characters' }),
    Describes(description),
  )
}

/** A name that other parts of the document point to. */
export function Id(description: string): PropertyDecorator {
  const message = (args: ValidationArguments) =>
    `must be 1 to ${COUNTS.idLength} letters, digits or - _ . : characters; ${is(args)}`
  return together(
    IsString({ message }),
    Matches(/^[\w\-.:]{1,64}$/, { message }),
    Describes(description),
  )
}

/** On a nested object: it may be null instead. */
export function OrNull(description: string): PropertyDecorator {
  const orNull: PropertyDecorator = ValidateIf((_, value) => value !== null)
  const schema = { type: ['object', 'null'], description }
  return together(orNull, Noted(schema))
}

/** The same, or null. */
export function IdOrNull(description: string): PropertyDecorator {
  const orNull: PropertyDecorator = ValidateIf((_, value) => value !== null)
  const schema = { type: ['string', 'null'], description }
  return together(Id(description), orNull, Noted(schema))
}

/** A list of `least` to `most` things. */
export function ListOf(least: number, most: number, description: string): PropertyDecorator {
  const message = (args: ValidationArguments) =>
    `must be a list of ${least} to ${most}; ${Array.isArray(args.value) ? `it has ${args.value.length}` : is(args)}`
  return together(
    IsArray({ message }),
    ByRule('list', (value) =>
      Array.isArray(value) && (value.length < least || value.length > most)
        ? `must be a list of ${least} to ${most}; it has ${value.length}`
        : null,
    ),
    Noted({ description, minItems: least, maxItems: most }),
  )
}

/** A rule of its own: says what is wrong, or null. */
export function ByRule(
  name: string,
  fault: (value: unknown, owner: object) => string | null,
): PropertyDecorator {
  return (target, key) =>
    registerDecorator({
      name,
      target: target.constructor,
      propertyName: key as string,
      validator: {
        validate: (value: unknown, args?: ValidationArguments) =>
          fault(value, args?.object ?? {}) === null,
        defaultMessage: (args?: ValidationArguments) =>
          fault(args?.value, args?.object ?? {}) ?? 'is not right',
      },
    })
}
