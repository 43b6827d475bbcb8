/** What is asked of the browser's locks. */
export type TabLocks = Pick<LockManager, 'request' | 'query'>

const KEY = 'yew.tab'
const lockOf = (name: string) => `yew.tab.${name}`

/** Holds a tab's lock for as long as the page lives; false: another page has it. */
function claim(locks: TabLocks, name: string): Promise<boolean> {
  return new Promise((resolve) => {
    void locks.request(lockOf(name), { ifAvailable: true }, (lock) => {
      resolve(lock !== null)
      return lock ? new Promise(() => undefined) : undefined
    })
  })
}

/**
 * This tab's name: the same after a reload, another in another tab. A duplicated tab brings its predecessor's name
 * along; the predecessor holds the name's lock, so the copy takes a name of its own.
 */
export async function nameTab(
  store: Storage = sessionStorage,
  locks: TabLocks | undefined = navigator.locks,
): Promise<string> {
  const known = readName(store)
  if (known !== null && (!locks || (await claim(locks, known)))) return known
  const made = crypto.randomUUID()
  if (locks) await claim(locks, made)
  try {
    store.setItem(KEY, made)
  } catch {
    // Forbidden storage: the name lives as long as the page.
  }
  return made
}

function readName(store: Storage): string | null {
  try {
    return store.getItem(KEY)
  } catch {
    return null
  }
}

let named: Promise<string> | null = null

/** The name, asked for once a page. */
export function thisTab(): Promise<string> {
  return (named ??= nameTab())
}

/** Which tabs are open now; null: this browser does not tell. */
export async function openTabs(
  locks: TabLocks | undefined = navigator.locks,
): Promise<ReadonlySet<string> | null> {
  if (!locks) return null
  const { held = [] } = await locks.query()
  const prefix = lockOf('')
  return new Set(
    held.flatMap(({ name }) => (name?.startsWith(prefix) ? [name.slice(prefix.length)] : [])),
  )
}
