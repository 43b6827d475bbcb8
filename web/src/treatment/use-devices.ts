import { type Device, type DevicePart, setTo, type EditPath, editing } from '@yew-basin/core'
import { computed } from 'vue'
import { useDesign } from '../workspace/design-store.ts'

/** The devices of the opened design that a bench is about, and what is done with them. */
export function useDevices(about: (device: Device) => boolean) {
  const store = useDesign()
  const all = computed(() => store.shown?.sump.devices ?? [])
  const own = computed(() => all.value.filter(about))
  const chosen = computed(
    () => own.value.find(({ id }) => id === store.deviceId) ?? own.value[0] ?? null,
  )
  const index = computed(() => all.value.findIndex(({ id }) => id === chosen.value?.id))
  const at = <const More extends EditPath>(...path: More) =>
    ['sump', 'devices', index.value, ...path] as const

  function add(part: DevicePart): void {
    const design = store.design!
    const device = editing.newDevice(design, part, crypto.randomUUID())
    store.set(['sump', 'devices'], [...design.sump.devices, device])
    store.deviceId = device.id
  }

  const swap = (part: DevicePart, standM: number) =>
    store.edit([setTo(at(), editing.deviceSwappedIn(store.design!, chosen.value!, part, standM))])

  const takeOut = () =>
    store.set(
      ['sump', 'devices'],
      store.design!.sump.devices.filter(({ id }) => id !== chosen.value?.id),
    )

  return { own, chosen, index, at, add, swap, takeOut }
}
