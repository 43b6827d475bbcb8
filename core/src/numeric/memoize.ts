/**
 * A pure function of one object that never changes, worked out once for each: the same object has
 * the same answer, and the answer goes when the object goes.
 */
export function memoize<Key extends object, Answer>(
  workOut: (key: Key) => Answer,
): (key: Key) => Answer {
  const answers = new WeakMap<Key, Answer>()
  return (key) => {
    const known = answers.get(key)
    if (known !== undefined) return known
    const answer = workOut(key)
    answers.set(key, answer)
    return answer
  }
}

/**
 * The same for a function that also takes what seldom changes beside the object: the last answer
 * serves while `sameBeside` says so.
 */
export function memoizeWith<Key extends object, Beside, Answer>(
  workOut: (key: Key, beside: Beside) => Answer,
  sameBeside: (before: Beside, now: Beside) => boolean,
): (key: Key, beside: Beside) => Answer {
  const last = new WeakMap<Key, { readonly beside: Beside; readonly answer: Answer }>()
  return (key, beside) => {
    const known = last.get(key)
    if (known && sameBeside(known.beside, beside)) return known.answer
    const answer = workOut(key, beside)
    last.set(key, { beside, answer })
    return answer
  }
}

/**
 * The same where the objects outlive what is asked of them, as the states that can be undone do:
 * only the last `most` answers are held.
 */
export function memoizeLast<Key extends object, Answer>(
  workOut: (key: Key) => Answer,
  most: number,
): (key: Key) => Answer {
  const answers = new Map<Key, Answer>()
  return (key) => {
    const known = answers.get(key)
    if (known !== undefined) {
      // Asked again, it is the last to go.
      answers.delete(key)
      answers.set(key, known)
      return known
    }
    const answer = workOut(key)
    answers.set(key, answer)
    for (const oldest of answers.keys()) {
      if (answers.size <= most) break
      answers.delete(oldest)
    }
    return answer
  }
}
