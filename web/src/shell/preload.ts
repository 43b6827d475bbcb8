import type { Router } from 'vue-router'

/** So long the first view has the page for itself. */
const AFTER_MS = 1500

type Loader = () => Promise<unknown>

/** Once a basin is open and the page is idle, its other views are fetched, so that going there needs no wait. */
export function preloadViews(router: Router): void {
  let isAsked = false
  router.afterEach(({ params }) => {
    if (isAsked || !params.id) return
    isAsked = true
    const loaders = router
      .getRoutes()
      .map(({ components }) => components?.default)
      .filter((component): component is Loader => typeof component === 'function')
    setTimeout(() => void loadEach(loaders), AFTER_MS)
  })
}

/** One after the other, each when nothing else is to do. */
async function loadEach(loaders: readonly Loader[]): Promise<void> {
  for (const load of loaders) {
    await new Promise((idle) =>
      'requestIdleCallback' in window ? requestIdleCallback(idle) : setTimeout(idle, 50),
    )
    // Without a network, or with one that fails, each is fetched when it is gone to.
    if (!navigator.onLine) return
    try {
      await load()
    } catch {
      return
    }
  }
}
