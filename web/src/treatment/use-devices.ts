import { NEW_LAMP, swapped, type BasinDesign, type Device, type DevicePart } from '@yew-basin/core'
import { computed } from 'vue'
import { useDesign } from '../workspace/design-store.ts'

/** Chambers a kind of device is first put into, best first. */
const HOME: Readonly<Record<string, readonly string[]>> = {
  skimmer: ['skimmer', 'socks', 'return'],
  heater: ['return', 'skimmer'],
}

function homeOf({ sump }: BasinDesign, part: DevicePart): string | null {
  const wanted = HOME[part.kind] ?? []
  for (const use of wanted) {
    const found = sump.chambers.find((one) => one.use === use)
    if (found) return found.id
  }
  return wanted.length > 0 ? sump.chambers[0]!.id : null
}

/** The line that has a piece of this use; a meter goes into a lamp's line. null: none. */
function lineFor({ returnSide }: BasinDesign, part: DevicePart): string | null {
  const found = returnSide.lines.find(({ run }) =>
    run.pieces.some(
      (piece) =>
        piece.kind === 'device' &&
        piece.use === (part.kind === 'flow-meter' ? 'sterilizer' : part.kind),
    ),
  )
  return found?.id ?? null
}

/** The devices of the opened design that a bench is about, and what is done with them. */
export function useDevices(about: (device: Device) => boolean) {
  const store = useDesign()
  const all = computed(() => store.shown?.sump.devices ?? [])
  const own = computed(() => all.value.filter(about))
  const chosen = computed(
    () => own.value.find(({ id }) => id === store.deviceId) ?? own.value[0] ?? null,
  )
  const index = computed(() => all.value.findIndex(({ id }) => id === chosen.value?.id))
  const at = (...path: (string | number)[]) => ['sump', 'devices', index.value, ...path]

  function add(part: DevicePart): void {
    const design = store.design!
    const chamberId = homeOf(design, part)
    const id = crypto.randomUUID()
    const device: Device = {
      id,
      name: part.name,
      part,
      chamberId,
      ...placeIn(design, chamberId, part),
      turned: false,
      standM: 0,
      speed: 1,
      lineId: lineFor(design, part),
      lamp: part.sterilizer ? NEW_LAMP : null,
    }
    store.set(['sump', 'devices'], [...design.sump.devices, device])
    store.deviceId = id
  }

  const swap = (part: DevicePart, standM: number) =>
    store.edit(
      [{ op: 'set', path: at(), to: swapped(chosen.value!, part, standM) }],
      `device ${part.id}`,
    )

  const takeOut = () =>
    store.set(
      ['sump', 'devices'],
      store.design!.sump.devices.filter(({ id }) => id !== chosen.value?.id),
    )

  return { own, chosen, index, at, add, swap, takeOut }
}

/** In the middle of its chamber, or in front of the sump. */
export function placeIn(
  { sump }: BasinDesign,
  chamberId: string | null,
  part: DevicePart,
): { xM: number; yM: number } {
  const { box, walls, chambers } = sump
  const at = chambers.findIndex(({ id }) => id === chamberId)
  if (!box || at < 0) return { xM: 0, yM: (box?.widthM ?? 0.4) + 0.03 }
  const left = walls[at - 1]
  const fromM = left ? left.atM + left.thicknessM : 0
  const toM = walls[at]?.atM ?? box.lengthM
  const spare = { alongM: toM - fromM - part.lengthM, acrossM: box.widthM - part.widthM }
  return {
    xM: fromM + Math.max(0, spare.alongM / 2),
    yM: Math.max(0, spare.acrossM / 2),
  }
}
