<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { useUnits } from '../shell/units.ts'
import { KIND_NAMES } from '../treatment/treatment-words.ts'
import BasinPage from '../workspace/BasinPage.vue'
import { useBasin } from '../workspace/use-basin.ts'
import CabinetFields from './CabinetFields.vue'
import FloorPlan from './FloorPlan.vue'
import TakeOutWords from './TakeOutWords.vue'

const { id } = defineProps<{ id: string }>()
const store = useBasin(() => id, 'Room')
const units = useUnits()
const devices = computed(() => store.shown?.sump.devices ?? [])
const chosen = computed(() => devices.value.findIndex((device) => device.id === store.deviceId))

function said(i: number): string {
  const { clearance } = store.solved!.treatment.devices[i]!
  if (!clearance) return ''
  if (clearance.sticksOutM > 0) return `sticks out ${units.text('length', clearance.sticksOutM)}`
  if (clearance.collidesWith.length > 0) {
    const other = devices.value.find((device) => device.id === clearance.collidesWith[0])
    return `runs into ${other?.name}`
  }
  if (clearance.runsIntoSump) return 'runs into the sump'
  const lamp = clearance.pullsThroughDoor
    ? ', its lamp draws out of a door'
    : clearance.pullOutM === null
      ? ''
      : `, ${units.text('length', clearance.pullOutM)} to draw the lamp`
  if (!clearance.inWater) return `${clearance.overSump ? 'over' : 'beside'} the sump${lamp}`
  const rod = devices.value[i]!.part.kind === 'heater'
  const lift =
    clearance.liftsOutM === null || rod
      ? ''
      : clearance.liftsOutM < 0
        ? `, ${units.text('length', -clearance.liftsOutM)} short of lifting out`
        : ', lifts out'
  return `${units.text('length', clearance.handM ?? NaN)} for a hand${lift}`
}
</script>

<template>
  <BasinPage
    :id="id"
    heading="Room"
    about="What stands in the sump and round it, to scale: drag it where it should stand, and see whether a hand gets in and everything out again."
  >
    <p v-if="!store.shown!.sump.box">
      The sump has no sizes yet.
      <RouterLink class="underline" :to="`/basins/${id}/sump`">Give them at the sump</RouterLink>,
      and its room is drawn here.
    </p>
    <div v-else class="grid gap-5 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <div class="min-w-0 space-y-4">
        <FloorPlan class="h-64 rounded-lg sm:h-96 border border-rule bg-sheet" />
        <ul class="grid gap-x-5 sm:grid-cols-2" aria-label="Devices in the room">
          <li
            v-for="(device, i) in devices"
            :key="device.id"
            class="border-b border-rule py-1.5"
            :class="{ 'bg-needle-wash': i === chosen }"
          >
            <span class="caption mr-1.5">{{ KIND_NAMES[device.part.kind] }}</span>
            <strong class="font-semibold">{{ device.name }}</strong>
            <span class="block">{{ said(i) }}</span>
          </li>
        </ul>
        <p v-if="devices.length === 0">
          Nothing stands here yet.
          <RouterLink class="underline" :to="`/basins/${id}/skimmer`">Add a skimmer</RouterLink>.
        </p>
      </div>
      <fieldset :disabled="!!store.preview" class="min-w-0 space-y-5">
        <TakeOutWords />
        <CabinetFields />
      </fieldset>
    </div>
  </BasinPage>
</template>
