import { createTransformer as createSwc } from '@swc/jest'

/**
 * What calculation asks the language for at every step. Jest runs tests in a context whose globals are
 * looked up by name, slowly; as a module's own they cost nothing. None of these does a test replace.
 */
const OWN = [
  'Array',
  'Float32Array',
  'Float64Array',
  'Infinity',
  'Int32Array',
  'Map',
  'Math',
  'NaN',
  'Number',
  'Object',
  'Set',
  'Uint8Array',
  'WeakMap',
]
// On the first line, so that every line keeps its number.
const BEFORE = `var ${OWN.map((name) => `${name} = globalThis.${name}`).join(', ')};`

const withOwn = (made) => ({ ...made, code: BEFORE + made.code })

/** TypeScript by swc, with the globals of calculation as each module’s own. */
export default {
  createTransformer(options) {
    const swc = createSwc(options)
    return {
      ...swc,
      process: (...args) => withOwn(swc.process(...args)),
      processAsync: async (...args) => withOwn(await swc.processAsync(...args)),
      getCacheKey: (...args) => `${swc.getCacheKey(...args)}-own-globals`,
    }
  },
}
