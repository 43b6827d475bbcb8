import { createHash, randomBytes } from 'node:crypto'

/** Letters that are not taken for each other when they are written down. */
const LETTERS = '23456789ABCDEFGHJKMNPQRSTVWXYZ'
const LENGTH = 28
const GROUP = 4

/** A key that nobody guesses: 28 letters of 30, 137 bits; in groups of four. */
export function newRecoveryKey(): string {
  const letters: string[] = []
  while (letters.length < LENGTH) {
    for (const byte of randomBytes(LENGTH)) {
      // Bytes beyond the last whole turn of the letters would make the first ones likelier.
      if (byte < 240 && letters.length < LENGTH) letters.push(LETTERS[byte % LETTERS.length]!)
    }
  }
  return letters.join('').replace(new RegExp(`(.{${GROUP}})(?=.)`, 'g'), '$1-')
}

/** What is kept of a key; the same for a key typed small, or with other signs between. */
export function recoveryHash(typed: string): Buffer {
  const letters = typed.toUpperCase().replace(/[^A-Z0-9]/g, '')
  return createHash('sha256').update(letters).digest()
}
