import {
  ArrayMaxSize,
  ArrayMinSize,
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
  ValidateBy,
  ValidateIf,
  type ValidationArguments,
} from 'class-validator'
import { TOGETHER } from '../check/checker.ts'
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

/** A wrong value in a few signs; a whole object is never written out for it. */
function shown(value: unknown): string {
  if (Array.isArray(value)) return `a list of ${value.length}`
  if (typeof value === 'object' && value !== null) return 'an object'
  const text = JSON.stringify(typeof value === 'string' ? value.slice(0, 41) : value) ?? 'missing'
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

/** The same, or nothing. */
export function OneOfOrLeftOut(words: readonly string[], description: string): PropertyDecorator {
  return together(
    OneOf(words, description),
    ValidateIf((_, value) => value !== undefined),
  )
}

/** Signs that are no text and that a database or a terminal may stumble over; a new line and a tab may stand. */
// oxlint-disable-next-line no-control-regex -- these are what is looked for
const NO_CONTROL = /^[^\u0000-\u0008\u000b-\u001f\u007f]*$/
/** Half of a sign of two halves, alone: no database keeps it. */
const NO_HALF_SIGN = /^\P{Surrogate}*$/u

function WholeCharacters(): PropertyDecorator {
  const text = (value: unknown) => typeof value === 'string' && NO_HALF_SIGN.test(value)
  const message = 'must be text of whole characters; one is cut in half'
  return ValidateBy({ name: 'whole characters', validator: { validate: text } }, { message })
}

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
    WholeCharacters(),
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

/** Marks in the schema what may be left out. */
export const LEFT_OUT = 'leftOut'

/** What may be left out, or null. */
export function LeftOutOrNull(description: string): PropertyDecorator {
  const unless: PropertyDecorator = ValidateIf((_, value) => value !== undefined && value !== null)
  return together(
    unless,
    Noted({ description: `${description} Left out or null: as usual.`, [LEFT_OUT]: true }),
  )
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
    ArrayMinSize(least, { message }),
    ArrayMaxSize(most, { message }),
    Noted({ description, minItems: least, maxItems: most }),
  )
}

/** A list of short texts, none of them twice. */
export function TextsOf(
  { most, length }: { readonly most: number; readonly length: number },
  description: string,
): PropertyDecorator {
  const message = `must be a list of texts of 1 to ${length} characters, none of them twice`
  const isText = (text: unknown) =>
    typeof text === 'string' &&
    text.length > 0 &&
    text.length <= length &&
    NO_CONTROL.test(text) &&
    NO_HALF_SIGN.test(text)
  const validate = (texts: unknown[]) => texts.every(isText) && new Set(texts).size === texts.length
  return together(
    ListOf(0, most, description),
    ValidateBy({ name: 'texts', validator: { validate } }, { message }),
    Noted({
      description,
      items: { type: 'string', minLength: 1, maxLength: length },
      uniqueItems: true,
    }),
  )
}

/** A rule that looks at the whole object: asked once each of its properties is as it must be alone. Says what is wrong, or null. */
export function ByRule(
  name: string,
  fault: (value: unknown, owner: object) => string | null,
): PropertyDecorator {
  return (target, key) =>
    registerDecorator({
      name,
      target: target.constructor,
      propertyName: key as string,
      options: { context: TOGETHER },
      validator: {
        validate: (value: unknown, args?: ValidationArguments) =>
          fault(value, args?.object ?? {}) === null,
        defaultMessage: (args?: ValidationArguments) =>
          fault(args?.value, args?.object ?? {}) ?? 'is not right',
      },
    })
}

/** A moment as 2026-11-30T09:15:00.000Z. */
export function Time(description: string): PropertyDecorator {
  const form = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,3})?Z$/
  const message = (args: ValidationArguments) =>
    `must be a moment as 2026-11-30T09:15:00Z; ${is(args)}`
  const real = ValidateBy(
    {
      name: 'aMoment',
      validator: {
        validate: (value) =>
          typeof value === 'string' && form.test(value) && !Number.isNaN(Date.parse(value)),
      },
    },
    { message },
  )
  return together(real, Describes(description))
}

/** The same, or null. */
export function TimeOrNull(description: string): PropertyDecorator {
  return together(
    Time(description),
    ValidateIf((_, value) => value !== null),
  )
}

/** A text, or null. */
export function TextOrNull(most: number, description: string): PropertyDecorator {
  return together(
    Text(most, description),
    ValidateIf((_, value) => value !== null),
  )
}

/** A day of the calendar, or null. */
export function DayOrNull(description: string): PropertyDecorator {
  const orNull: PropertyDecorator = ValidateIf((_, value) => value !== null)
  const form = Matches(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, {
    message: 'must be a day as 2026-11-25',
  })
  return (target, key) => {
    form(target, key)
    orNull(target, key)
    const schema = { type: ['string', 'null'], description }
    Noted(schema)(target, key)
  }
}
