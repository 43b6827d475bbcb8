/** The package ships this file without a declaration; class-validator-jsonschema asks for what is in it. */
declare module 'class-transformer/cjs/storage.js' {
  import type { IOptions } from 'class-validator-jsonschema/build/options'
  export const defaultMetadataStorage: NonNullable<IOptions['classTransformerMetadataStorage']>
}
