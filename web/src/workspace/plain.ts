import { toRaw } from 'vue'

/** A copy that can be sent to a worker: no proxies in it. */
export function plain<T>(value: T): T {
  return JSON.parse(JSON.stringify(toRaw(value))) as T
}
