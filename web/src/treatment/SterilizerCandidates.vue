<script setup lang="ts">
import type { choosing, Device, DevicePart } from '@yew-basin/core'
import { computed } from 'vue'
import { useTrial } from '../calc/trial.ts'
import { useParts } from '../parts/parts-store.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { plain } from '../workspace/plain.ts'
import { useBeside } from './beside.ts'
import CandidateList from './CandidateList.vue'
import SideBySide from './SideBySide.vue'
import { NOISE_NAMES } from './treatment-words.ts'

/** Every sterilizer in this one's place and line, and two or three of them side by side. */
const { device } = defineProps<{ device: Device }>()
const emit = defineEmits<{ swap: [part: DevicePart, standM: number] }>()
const store = useDesign()
const parts = useParts()
const units = useUnits()

const specs = computed(() => {
  const lit = parts.kept.devices.filter(({ kind }) => kind === 'sterilizer')
  // As the design has it, whatever its part has become.
  return [device.part, ...lit.filter(({ id }) => id !== device.part.id)]
})
const trial = useTrial(
  () => (store.shown ? { design: store.shown, parts: specs.value, deviceId: device.id } : null),
  (calls, { parts: tried, deviceId }) => calls.sterilizers(deviceId, plain(tried)),
)
type Candidate = choosing.SterilizerCandidate
const rows = computed((): readonly Candidate[] => trial.answer.value ?? [])
const target = computed(() => {
  const { targets, targetId } = store.shown!.treatment
  return targets.find(({ id }) => id === targetId) ?? targets[0]
})
const against = ({ sterilizer }: Candidate) =>
  sterilizer.targets.find(({ targetId }) => targetId === target.value?.id)
const REACHES = { reached: 'reached', partly: 'partly reached', short: 'not reached' } as const

/** A figure as exactly as it is known, and how exactly that is. */
const withBand = (quantity: 'dose' | 'flow', si: number, band: number) =>
  `${units.text(quantity, si, band)} ± ${units.band({ quantity, si }, band)}`
const dose = ({ sterilizer: { doseJPerM2, doseBandJPerM2 } }: Candidate) =>
  doseJPerM2 === null ? 'no flow' : withBand('dose', doseJPerM2, doseBandJPerM2 ?? 0)
const reaches = (row: Candidate) => {
  const found = against(row)
  return found ? REACHES[found.reaches] : 'no target'
}
const halfLife = (row: Candidate) => {
  const found = against(row)
  return found?.halfLifeS ? units.text('duration', found.halfLifeS) : 'removes nothing'
}

const { isTicked, tick, isOpen } = useBeside()
const compared = computed(() => rows.value.filter(({ part }) => isTicked(part.id)))
const beside = computed(() => {
  const row = (label: string, of: (candidate: Candidate) => string) => ({
    label,
    values: compared.value.map(of),
  })
  return [
    row('Flow', ({ sterilizer }) =>
      withBand('flow', sterilizer.flowM3PerS, sterilizer.flowBandM3PerS),
    ),
    row('Dose', dose),
    row(`For ${target.value?.organism ?? 'its target'}`, reaches),
    row('Half of it is gone after', halfLife),
    row('Power', ({ device: placed }) => units.text('power', placed.powerW)),
    row('Lamp lasts', ({ part }) => units.text('duration', part.sterilizer!.ratedHoursS)),
    row('Room to draw its lamp', ({ part }) => units.text('length', part.sterilizer!.pullOutM)),
    row('Its ports', ({ part }) => units.text('length', part.sterilizer!.portBoreM)),
    row('How loud', ({ part }) => NOISE_NAMES[part.noise]),
    row('Price', ({ part }) => `${part.priceClass} of 5`),
  ]
})
</script>

<template>
  <section v-if="rows.length > 1" aria-labelledby="lit-candidates">
    <h3 id="lit-candidates" class="heading">Would another one do?</h3>
    <p class="caption mb-1">
      Each in the same place and line, the others with a new lamp, against {{ device.name }}.
    </p>
    <SideBySide
      v-if="isOpen"
      name="Sterilizers side by side"
      :columns="compared.map(({ part }) => part)"
      :rows="beside"
    />
    <p v-else class="caption">Tick two or three to see them side by side.</p>
    <CandidateList
      v-slot="{ row }"
      name="Sterilizers in its place"
      :rows="rows"
      :now-id="device.part.id"
      :is-ticked="isTicked"
      @tick="tick"
      @take="(row) => emit('swap', row.part, device.standM)"
    >
      <span class="block">{{ dose(row) }}, {{ reaches(row) }}</span>
      <span class="caption block">
        {{ row.part.id === device.part.id ? 'stands there now, ' : ''
        }}{{ units.text('power', row.device.powerW) }}, price {{ row.part.priceClass }} of 5
      </span>
    </CandidateList>
  </section>
</template>
