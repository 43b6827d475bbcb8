import { type BasinDesign, type Edit, type Run, setTo } from '@yew-basin/core'

/** A valve of the network, by a name that no other has. */
export interface NamedValve {
  readonly id: string
  readonly name: string
  readonly opening: number
  /** It is set open or shut: what it lets through between is not known. */
  readonly onlyOpenOrShut: boolean
  /** What sets it. */
  readonly set: (opening: number) => Edit
}

/** Every valve, on the way up and on the way down, in the order the water comes to them. */
export function valvesOf({ returnSide, drains }: BasinDesign): NamedValve[] {
  const all = [
    ...returnSide.lines.flatMap(({ name, run }, i) =>
      ofRun(name, run, (at, to) =>
        setTo(['returnSide', 'lines', i, 'run', 'pieces', at, 'opening'], to),
      ),
    ),
    ...drains.flatMap(({ name, run }, i) =>
      ofRun(name, run, (at, to) => setTo(['drains', i, 'run', 'pieces', at, 'opening'], to)),
    ),
  ]
  return all.map((valve, i) => {
    const alike = all.filter(({ name }) => name === valve.name)
    if (alike.length === 1) return valve
    const place = all.slice(0, i + 1).filter(({ name }) => name === valve.name).length
    return { ...valve, name: `${valve.name} ${place} of ${alike.length}` }
  })
}

function ofRun(
  of: string,
  { pieces }: Run,
  set: (at: number, opening: number) => Edit,
): NamedValve[] {
  return pieces.flatMap((piece, at) =>
    piece.kind === 'valve'
      ? [
          {
            id: piece.id,
            name: `${of}, ${piece.form}`,
            opening: piece.opening,
            onlyOpenOrShut: piece.form === 'diaphragm',
            set: (opening: number) => set(at, opening),
          },
        ]
      : [],
  )
}
