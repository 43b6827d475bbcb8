/** Asks a question when those before it are answered. */
export type InTurn = <Answer>(ask: () => Promise<Answer>) => Promise<Answer>

/** A queue of questions: one that still waits can be given up where it stands. */
export function oneByOne(): InTurn {
  let last: Promise<unknown> = Promise.resolve()
  return (ask) => {
    const answer = last.then(ask)
    last = answer.catch(() => undefined)
    return answer
  }
}
