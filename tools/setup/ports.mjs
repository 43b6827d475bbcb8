import net from 'node:net'

/** May something listen there? */
export function isFree(port, host = '127.0.0.1') {
  return new Promise((resolve) => {
    const probe = net.createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })
}

/** The wanted port when it is free, else one the system picks. */
export async function freePort(wanted = 0) {
  if (wanted !== 0 && (await isFree(wanted))) return wanted
  return new Promise((resolve, reject) => {
    const probe = net.createServer()
    probe.once('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })
}
