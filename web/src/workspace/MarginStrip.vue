<script setup lang="ts">
import {
  leadOf,
  leastDrainMargin,
  type Measured,
  type FindingCode,
  type Severity,
  type SolvedBasin,
} from '@yew-basin/core'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { useUnits } from '../shell/units.ts'
import { STATE_OF } from '../drills/drill-words.ts'
import { useDrills } from '../drills/drills-store.ts'
import { useDesign } from './design-store.ts'
import type { StopName } from './stops.ts'

const store = useDesign()
const drills = useDrills()
const units = useUnits()

interface Cell {
  readonly id: string
  readonly label: string
  readonly value: Measured
  readonly after: string
  readonly stop: StopName | 'drills'
  readonly state: Severity
}

const TONES: Record<Severity, string> = {
  stop: 'text-(--strip-stop)',
  watch: 'text-(--strip-watch)',
  fine: '',
}

type StateOf = (...codes: FindingCode[]) => Severity

/** With the worst pipe blocked; until drains are told, what is left below the rim. */
function drainCell({ overflows, totals }: SolvedBasin, stateOf: StateOf): Cell {
  const left = leastDrainMargin(overflows)
  return left === null
    ? {
        id: 'freeboard',
        label: 'Below the rim',
        value: { quantity: 'length', si: totals.leastFreeboardM },
        after: '',
        stop: 'tank',
        state: stateOf('water-over-rim', 'little-freeboard'),
      }
    : {
        id: 'drain',
        label: 'Drain margin',
        value: { quantity: 'length', si: left },
        after: 'one blocked',
        stop: 'drains',
        state: stateOf('emergency-cannot-carry', 'box-without-drain'),
      }
}

/** After a power cut; until the sump has sizes, the fastest water. */
function outageCell({ sump, totals }: SolvedBasin, stateOf: StateOf): Cell {
  return sump.outage
    ? {
        id: 'outage',
        label: 'Outage margin',
        value: { quantity: 'length', si: sump.outage.marginM },
        after: 'to the rim',
        stop: 'sump',
        state: stateOf('sump-too-small', 'above-fill-line'),
      }
    : {
        id: 'speed',
        label: 'Fastest water',
        value: { quantity: 'speed', si: totals.fastestMPerS },
        after: '',
        stop: 'return',
        state: stateOf('water-too-fast'),
      }
}

/** The worst of the bad days; nothing until they have been run. */
const worstDrill = computed((): Cell[] => {
  const { worst } = drills
  if (!worst || drills.progress) return []
  const wet = worst.outcome === 'wet'
  return [
    {
      id: 'drills',
      label: 'Worst drill',
      value: wet
        ? { quantity: 'volume', si: worst.spilledM3 }
        : { quantity: 'length', si: worst.marginM },
      after: wet ? 'on the floor' : 'to a rim',
      stop: 'drills',
      state: STATE_OF[worst.outcome],
    },
  ]
})

/** How the first skimmer is rated for the water, by the school in force. */
function skimmerCells({ treatment: { skimmers } }: SolvedBasin, stateOf: StateOf): Cell[] {
  const ratio = skimmers[0]?.inForce.ratio ?? null
  if (ratio === null) return []
  return [
    {
      id: 'skimmer',
      label: 'Skimmer rated',
      value: { quantity: 'share', si: ratio },
      after: 'of wanted',
      stop: 'skimmer',
      state: stateOf('cup-stays-on', 'skimmer-too-small', 'skimmer-too-large', 'skimmer-depth'),
    },
  ]
}

/** What the water gets from the first lamp. */
function doseCells({ treatment: { sterilizers } }: SolvedBasin, stateOf: StateOf): Cell[] {
  const [first] = sterilizers
  if (!first || first.doseJPerM2 === null) return []
  const value = { quantity: 'dose', si: first.doseJPerM2 } as const
  return [
    {
      id: 'dose',
      label: 'Dose',
      value,
      after: `± ${units.band(value, first.doseBandJPerM2 ?? 0)}`,
      stop: 'sterilizer',
      state: stateOf('lamp-without-flow', 'dose-short', 'lamp-old'),
    },
  ]
}

/** As many columns as there are cells, where the screen has the room. */
const COLUMNS: Readonly<Record<number, string>> = {
  6: 'grid-cols-3 lg:grid-cols-6',
  7: 'grid-cols-4 lg:grid-cols-7',
  8: 'grid-cols-4 lg:grid-cols-8',
  9: 'grid-cols-5 lg:grid-cols-9',
}

const cells = computed((): Cell[] => {
  const solved = store.solved
  if (!solved) return []
  const { returnSide: side, findings, tanks, totals } = solved
  const lead = leadOf(solved)
  const stateOf: StateOf = (...codes) =>
    findings.find((finding) => codes.includes(finding.code))?.severity ?? 'fine'
  const flowState = stateOf(
    'flow-short',
    'flow-past',
    'no-flow-at-this-speed',
    'valve-shut',
    'flows-back',
    'mouth-outside-tank',
  )
  const band = units.band({ quantity: 'flow', si: side.flowM3PerS }, side.flowBandM3PerS)
  return [
    {
      id: 'flow',
      label: tanks.length > 1 ? 'At the tanks' : 'At the tank',
      value: { quantity: 'flow', si: side.flowM3PerS },
      after: `± ${band}`,
      stop: 'return',
      state: flowState,
    },
    {
      id: 'turnover',
      label: 'Turnover',
      value: { quantity: 'turnover', si: side.turnoverPerH ?? NaN },
      after: `of ${units.shown({ quantity: 'turnover', si: totals.wantedTurnoverPerH ?? NaN }).number}`,
      stop: 'tank',
      state: flowState,
    },
    {
      id: 'head',
      label: 'Duty head',
      value: { quantity: 'head', si: lead.pump.headM },
      after: `of ${units.shown({ quantity: 'head', si: lead.pump.shutOffHeadM }).number}`,
      stop: 'return',
      state: stateOf('no-flow-at-this-speed', 'past-known-curve'),
    },
    {
      id: 'power',
      label: 'Pump power',
      value: { quantity: 'power', si: side.wirePowerW },
      after: side.powerIsScaled ? 'scaled' : '',
      stop: 'return',
      state: 'fine',
    },
    drainCell(solved, stateOf),
    outageCell(solved, stateOf),
    ...skimmerCells(solved, stateOf),
    ...doseCells(solved, stateOf),
    ...worstDrill.value,
  ]
})
</script>

<template>
  <nav aria-label="Margins" class="grid bg-[#23483c] text-[#f7f5ef]" :class="COLUMNS[cells.length]">
    <RouterLink
      v-for="cell in cells"
      :key="cell.id"
      :to="`/basins/${store.basin?.id}/${cell.stop}`"
      class="overflow-hidden border-l border-white/15 px-3 py-1.5 hover:bg-white/10 lg:py-2.5"
      :data-testid="`margin-${cell.id}`"
    >
      <span class="block text-[0.8rem] leading-tight text-white/75">
        {{ cell.label }}<span v-if="cell.state !== 'fine'" class="sr-only">, {{ cell.state }}</span>
      </span>
      <span class="whitespace-nowrap" :class="TONES[cell.state]">
        <span class="text-lg font-semibold leading-tight lg:text-xl">{{
          units.shown(cell.value).number
        }}</span>
        <span class="ml-1 text-[0.8rem]">{{ units.shown(cell.value).unit }}</span>
        <span class="ml-1 hidden text-[0.8rem] text-white/75 sm:inline">{{ cell.after }}</span>
      </span>
    </RouterLink>
  </nav>
</template>
