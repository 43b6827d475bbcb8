import { Type } from 'class-transformer'

type Class = new () => object

/** What stands in a property: objects of one class, or of several told apart by a key. */
export interface NestedIn {
  readonly whole: () => Class
  readonly key: string | null
  readonly kinds: ReadonlyMap<string, Class>
}

const known = new Map<object, Map<string, NestedIn>>()

/** The class of a property's object, or of each in its list; with kinds, which of them by the object's own key. */
export function Nested(
  whole: () => Class,
  by?: { readonly key: string; readonly kinds: readonly { name: string; value: Class }[] },
): PropertyDecorator {
  return (target, property) => {
    const discriminator = by && { property: by.key, subTypes: [...by.kinds] }
    Type(whole, discriminator && { keepDiscriminatorProperty: true, discriminator })(
      target,
      property,
    )
    const kinds = new Map(by?.kinds.map(({ name, value }) => [name, value]))
    const ofClass = known.get(target) ?? new Map<string, NestedIn>()
    ofClass.set(String(property), { whole, key: by?.key ?? null, kinds })
    known.set(target, ofClass)
  }
}

/** What was said of a property, by its class or one it stands on. */
export function nestedIn(type: Class, property: string): NestedIn | null {
  let at = type.prototype as object | null
  while (at) {
    const found = known.get(at)?.get(property)
    if (found) return found
    at = Object.getPrototypeOf(at) as object | null
  }
  return null
}
