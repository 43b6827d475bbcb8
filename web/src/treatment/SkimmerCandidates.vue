<script setup lang="ts">
import {
  skimmerCandidates,
  type Device,
  type DevicePart,
  type SkimmerCandidate,
} from '@yew-basin/core'
import { computed } from 'vue'
import { useParts } from '../parts/parts-store.ts'
import { useBeside } from './beside.ts'
import CandidateList from './CandidateList.vue'
import SideBySide from './SideBySide.vue'
import { SIZE_SAYS } from './treatment-words.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { NOISE_NAMES } from './treatment-words.ts'

/** Every skimmer in this one's place, by both schools, with what it would free. */
const { device } = defineProps<{ device: Device }>()
const emit = defineEmits<{ swap: [part: DevicePart, standM: number] }>()
const store = useDesign()
const parts = useParts()
const units = useUnits()

const rows = computed(() => {
  const others = parts.kept.devices.filter(
    ({ kind, id }) => kind === 'skimmer' && id !== device.part.id,
  )
  return skimmerCandidates(
    store.running!,
    store.solved!,
    device.id,
    // As the design has it, whatever its part has become.
    [device.part, ...others],
  ).toSorted((a, b) => a.skimmer.inForce.ratedM3 - b.skimmer.inForce.ratedM3)
})

/** Does it stand there, on what, or what keeps it from it. */
function stands({ fits, standM, skimmer, device: placed }: SkimmerCandidate): string {
  if (placed.clearance && !placed.clearance.inWater) return 'goes beside the sump'
  if (
    placed.clearance &&
    (placed.clearance.sticksOutM > 0 || placed.clearance.collidesWith.length > 0)
  ) {
    return 'no room for its foot'
  }
  if (skimmer.aboveCupM !== null && skimmer.aboveCupM < 0) return 'no room over its cup'
  if (!fits && skimmer.depth) return `the water is too ${skimmer.depth.says} for it`
  return standM > 0 ? `stands on ${units.text('length', standM)}` : 'stands'
}

/** What it does on this water. */
function works({ skimmer }: SkimmerCandidate): string {
  const { shareOfThroughflow, systemVolumesPerH, dwellS, airPerNeckMPerS, aboveCupM } = skimmer
  const said = [
    shareOfThroughflow !== null && `${units.text('share', shareOfThroughflow)} of the flow`,
    systemVolumesPerH !== null && units.text('turnover', systemVolumesPerH),
    dwellS !== null && `dwell ${units.text('duration', dwellS)}`,
    `air ${units.text('air-per-neck', airPerNeckMPerS)}`,
    aboveCupM !== null && aboveCupM >= 0 && `${units.text('length', aboveCupM)} over its cup`,
  ]
  return said.filter((part) => part !== false).join(', ')
}

/** What it frees and saves against the one that stands there. */
function against({ part, freesM2, savesW }: SkimmerCandidate): string {
  if (part.id === device.part.id) return 'stands there now'
  const surface = units.text('area', Math.abs(freesM2))
  const power = units.text('power', Math.abs(savesW))
  const room =
    freesM2 === 0 ? 'the same room' : freesM2 > 0 ? `frees ${surface}` : `takes ${surface} more`
  const draw =
    savesW === 0 ? 'the same power' : savesW > 0 ? `saves ${power}` : `draws ${power} more`
  return `${room}, ${draw}, price ${part.priceClass} of 5`
}

const { isTicked, tick, isOpen } = useBeside()
const compared = computed(() => rows.value.filter(({ part }) => isTicked(part.id)))
const beside = computed(() => {
  const row = (label: string, of: (candidate: SkimmerCandidate) => string) => ({
    label,
    values: compared.value.map(of),
  })
  const orNone = (value: number | null, say: (si: number) => string) =>
    value === null ? 'not known' : say(value)
  return [
    row('By its load', ({ skimmer }) => SIZE_SAYS[skimmer.verdicts.match.says]),
    row('Oversized', ({ skimmer }) => SIZE_SAYS[skimmer.verdicts.oversize.says]),
    row('Printed for, at this load', ({ skimmer }) =>
      units.text('volume', skimmer.inForce.ratedM3),
    ),
    row('Does it stand', stands),
    row('Of the sump’s flow', ({ skimmer }) =>
      orNone(skimmer.shareOfThroughflow, (si) => units.text('share', si)),
    ),
    row('All the water', ({ skimmer }) =>
      orNone(skimmer.systemVolumesPerH, (si) => units.text('turnover', si)),
    ),
    row('Gives back when it stops', ({ skimmer }) => units.text('volume', skimmer.givesBackM3)),
    row('Power', ({ device: placed }) => units.text('power', placed.powerW)),
    row('Over its cup', ({ skimmer }) =>
      orNone(skimmer.aboveCupM, (si) => units.text('length', si)),
    ),
    row('How loud', ({ part }) => NOISE_NAMES[part.noise]),
    row('Price', ({ part }) => `${part.priceClass} of 5`),
  ]
})
</script>

<template>
  <section aria-labelledby="candidates-head">
    <h3 id="candidates-head" class="heading">Would another one do?</h3>
    <p class="caption mb-1">
      Each in the same place, on the stand that suits it, against {{ device.name }}.
    </p>
    <SideBySide
      v-if="isOpen"
      name="Skimmers side by side"
      :columns="compared.map(({ part }) => part)"
      :rows="beside"
    />
    <p v-else class="caption">Tick two or three to see them side by side.</p>
    <CandidateList
      v-slot="{ row }"
      name="Skimmers in its place"
      :rows="rows"
      :now-id="device.part.id"
      :is-ticked="isTicked"
      @tick="tick"
      @take="(row) => emit('swap', row.part, row.standM)"
    >
      <span class="caption ml-1.5">{{ NOISE_NAMES[row.part.noise] }}</span>
      <span class="block">
        match: {{ SIZE_SAYS[row.skimmer.verdicts.match.says] }}; oversize:
        {{ SIZE_SAYS[row.skimmer.verdicts.oversize.says] }}; {{ stands(row) }}
      </span>
      <span class="caption block">{{ works(row) }}</span>
      <span class="caption block">{{ against(row) }}</span>
    </CandidateList>
  </section>
</template>
