/** A number from 0 to 1, from a seed. */
export function randomFrom(seed: number): () => number
