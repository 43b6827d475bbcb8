import {
  BasinFile,
  DESIGN_CLASSES,
  FILE_FORMAT,
  FORMAT_VERSION,
  LEFT_OUT,
  SCHEMA_NOTES,
} from '@yew-basin/contract'
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js'
import { JSONSchema, validationMetadatasToSchemas } from 'class-validator-jsonschema'

type DecoratorSchema = Parameters<typeof JSONSchema>[0]
type Schema = Record<string, unknown> & { properties?: Record<string, Record<string, unknown>> }

const DEFINITIONS = '#/definitions/'

/** JSON Schema of an exported basin, from the contract's classes and nothing else. */
export function basinFileSchema(): object {
  for (const { target, key, schema } of SCHEMA_NOTES)
    JSONSchema(schema as unknown as DecoratorSchema)(target, key)
  const all = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    refPointerPrefix: DEFINITIONS,
    additionalConverters: { customValidation: {} },
  }) as Record<string, Schema>
  const names = new Set(DESIGN_CLASSES.map((type) => type.name))
  const definitions = Object.fromEntries(
    Object.entries(all)
      .filter(([name]) => names.has(name))
      .sort(([a], [b]) => a.localeCompare(b))
      .map(([name, schema]) => [name, closed(schema)]),
  )
  const run = definitions.RunDocument!.properties!
  run.pieces = { ...run.pieces, items: anyPiece(definitions) }
  const file = definitions[BasinFile.name]!
  file.properties!.format = { ...file.properties!.format, const: FILE_FORMAT }
  file.properties!.formatVersion = {
    ...file.properties!.formatVersion,
    type: 'integer',
    const: FORMAT_VERSION,
  }
  return {
    $schema: 'http://json-schema.org/draft-07/schema#',
    title: `Yew Basin file, format ${FORMAT_VERSION}`,
    description: 'One basin with its designs. All quantities are SI, with the unit in the name.',
    $ref: DEFINITIONS + BasinFile.name,
    definitions,
  }
}

/** All that is named and nothing else, as the reader has it; what is not given is null, never missing. */
function closed(schema: Schema): Schema {
  const properties = Object.fromEntries(
    Object.entries(schema.properties ?? {}).map(([name, property]) => [name, orNull(property)]),
  )
  const required = Object.entries(schema.properties ?? {}).flatMap(([name, property]) =>
    property[LEFT_OUT] ? [] : [name],
  )
  return { ...schema, properties, required, additionalProperties: false }
}

/** A nested object that may be null: the reference and null stand side by side. */
function orNull(property: Record<string, unknown>): Record<string, unknown> {
  if (property[LEFT_OUT]) return leftOut(property)
  const { $ref, type, ...others } = property
  const nullable = $ref !== undefined && Array.isArray(type) && type.includes('null')
  return nullable ? { ...others, anyOf: [{ $ref }, { type: 'null' }] } : property
}

/** What may be left out may be null too. */
function leftOut(property: Record<string, unknown>): Record<string, unknown> {
  const { $ref, description, ...others } = property
  delete others[LEFT_OUT]
  return { description, anyOf: [$ref === undefined ? others : { $ref }, { type: 'null' }] }
}

/** A piece is one of its kinds. */
function anyPiece(definitions: Record<string, Schema>): object {
  const kinds = Object.keys(definitions).filter(
    (name) => name.endsWith('PieceDocument') && name !== 'PieceDocument',
  )
  return { oneOf: kinds.map((name) => ({ $ref: DEFINITIONS + name })) }
}
