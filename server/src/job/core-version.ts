declare const __CORE_FINGERPRINT__: string | undefined

/** Which core computed a cached figure: what its sources hash to in a build; from sources it is never the same twice. */
export const CORE_VERSION =
  typeof __CORE_FINGERPRINT__ === 'string' ? __CORE_FINGERPRINT__ : `sources-${process.pid}`
