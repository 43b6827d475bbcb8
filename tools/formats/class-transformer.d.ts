/** The package ships this file without a declaration; class-validator-jsonschema asks for what is in it. */
declare module 'class-transformer/cjs/storage.js' {
  import type { MetadataStorage } from 'class-transformer/types/MetadataStorage.js'
  export const defaultMetadataStorage: MetadataStorage
}
