/** Asks a question when those before it are answered; given `otherwise` where nobody waits for it any more by then. */
export type InTurn = <Answer>(
  ask: () => Promise<Answer>,
  given?: { readonly isWanted: () => boolean; readonly otherwise: Answer },
) => Promise<Answer>

interface Waiting {
  readonly isWanted: () => boolean
  readonly begin: () => Promise<void>
  readonly leave: () => void
}

const ALWAYS = () => true

/** A queue of questions: one that still waits can be given up where it stands, and leaves when the next one comes. */
export function oneByOne(): InTurn {
  let waiting: Waiting[] = []
  let busy = false

  async function answerAll(): Promise<void> {
    busy = true
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      if (next.isWanted()) await next.begin()
      else next.leave()
    }
    busy = false
  }

  return (ask, given) =>
    new Promise((resolve, reject) => {
      const stay = waiting.filter(({ isWanted }) => isWanted())
      const leave = waiting.filter((one) => !stay.includes(one))
      waiting = stay
      for (const one of leave) one.leave()
      waiting.push({
        isWanted: given?.isWanted ?? ALWAYS,
        begin: () => Promise.resolve().then(ask).then(resolve, reject),
        leave: () => given && resolve(given.otherwise),
      })
      if (!busy) void answerAll()
    })
}
