import { readdirSync, readFileSync } from 'node:fs'

const read = (file) => {
  try {
    return readFileSync(file, 'utf8')
  } catch {
    // Gone between being listed and being read.
    return ''
  }
}

/** Processes whose command line has these words, all or those of one parent. */
export function processesWith(words, parent = null) {
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .filter((pid) => read(`/proc/${pid}/cmdline`).replaceAll('\0', ' ').includes(words))
    .filter((pid) => parent === null || parentOf(pid) === parent)
    .map(Number)
}

function parentOf(pid) {
  // The name in brackets may hold anything; what follows its last bracket is numbers.
  const after = read(`/proc/${pid}/stat`).split(') ').at(-1) ?? ''
  return Number(after.split(' ')[1])
}
