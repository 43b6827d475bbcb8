/** What the documented schema says of a property beyond its checks. */
export interface SchemaNote {
  /** The prototype of the class it is a property of. */
  readonly target: object
  readonly key: string
  readonly schema: { readonly description: string; readonly type?: readonly string[] } & Readonly<
    Record<string, unknown>
  >
}

const notes: SchemaNote[] = []

/** All of them, in the order the classes have them: for who writes the schema, which no page and no server does. */
export const SCHEMA_NOTES: readonly SchemaNote[] = notes

/** Notes what the schema says of a property. */
export function Noted(schema: SchemaNote['schema']): PropertyDecorator {
  return (target, key) => void notes.push({ target, key: String(key), schema })
}
