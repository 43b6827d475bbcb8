<script setup lang="ts">
import { COUNTS, LIMITS, type Limit } from '@yew-basin/contract/limits'
import { type DisplayTank, type Displacement, editing, type starting } from '@yew-basin/core'
import { computed, ref } from 'vue'
import { useDesign } from '../workspace/design-store.ts'
import FigureRow from './FigureRow.vue'
import AssumedNote from './AssumedNote.vue'
import BenchHead from './BenchHead.vue'
import FindingList from './FindingList.vue'
import QuantityField from './QuantityField.vue'
import QuantityRows from './QuantityRows.vue'
import { rowsOf, type QuantityOf } from './quantity-row.ts'
import SalinityField from './SalinityField.vue'
import TankSizes from '../start/TankSizes.vue'
import TankPicker from './TankPicker.vue'
import TurnoverOtherwise from './TurnoverOtherwise.vue'
import TextField from './TextField.vue'

const store = useDesign()
const setTank = (name: QuantityOf<DisplayTank>, to: number) =>
  store.set(['tanks', store.tankIndex, name], to)
const knowsOtherwise = ref(false)
/** Sizes that are worked out from a volume are assumed. */
function resize(sizes: starting.InsideSizes, given: boolean) {
  const edits = editing.resizedTank(store.tankIndex, sizes)
  if (given) store.edit(edits)
  else store.lay(edits)
}
/** The rim stays over the overflow's crest. */
const rimLimit = computed(() => ({
  ...LIMITS.waterLevel,
  min: store.tank?.overflow ? store.tank.overflow.crestM + 0.005 : LIMITS.waterLevel.min,
}))
const PLACE = rowsOf<DisplayTank>(
  ['xM', 'Left side, from the first tank’s left', LIMITS.place],
  ['yM', 'Front, from the first tank’s front', LIMITS.place],
)
const IN_THE_WATER = rowsOf<Displacement>(
  ['rockMassKg', 'Rock', LIMITS.rockMass],
  ['rockDensityKgPerM3', 'Rock’s density', LIMITS.rockDensity],
  ['sandMassKg', 'Sand, dry', LIMITS.sandMass],
  ['sandGrainDensityKgPerM3', 'Density of its grains', LIMITS.sandDensity],
)
const sizes = computed(() =>
  rowsOf<DisplayTank>(
    ['lengthM', 'Length', LIMITS.tankLength],
    ['widthM', 'Width, front to back', LIMITS.tankWidth],
    ['heightM', 'Height of the panels', LIMITS.tankHeight],
    ['rimM', 'Rim, where it spills', rimLimit.value],
    ...(store.tank?.overflow
      ? []
      : rowsOf<DisplayTank>(['waterLevelM', 'Running water level', LIMITS.waterLevel])),
    ['floorHeightM', 'Tank’s floor over the room’s', LIMITS.floorHeight],
  ),
)
const netM3 = computed(() => store.solvedTank!.netVolumeM3)
/** A flow that comes to a possible turnover. */
const flowLimit = computed<Limit>(() => ({
  quantity: 'flow',
  min: editing.flowOfTurnover(LIMITS.turnover.min, netM3.value),
  max: editing.flowOfTurnover(LIMITS.turnover.max, netM3.value),
}))
</script>

<template>
  <div
    v-if="store.shown && store.solved && store.tank && store.solvedTank"
    class="space-y-5 px-5 py-4"
  >
    <BenchHead station="tank">
      Inside sizes, what stands in the water, and what you want of the loop.
    </BenchHead>
    <TankPicker />
    <FindingList station="tank" />
    <AssumedNote station="tank" />

    <section aria-label="Figures">
      <FigureRow
        figure="netVolume"
        :tank-id="store.tank.id"
        label="Net water"
        :value="{ quantity: 'volume', si: store.solvedTank.netVolumeM3 }"
      />
      <FigureRow
        figure="grossVolume"
        :tank-id="store.tank.id"
        label="Gross water"
        :value="{ quantity: 'volume', si: store.solvedTank.grossVolumeM3 }"
      />
      <FigureRow
        figure="wantedFlow"
        :tank-id="store.tank.id"
        label="Wanted flow"
        :value="{ quantity: 'flow', si: store.solvedTank.wantedFlowM3PerS }"
      />
      <FigureRow
        figure="turnover"
        :tank-id="store.tank.id"
        label="Turnover you get"
        :value="{ quantity: 'turnover', si: store.solvedTank.turnoverPerH ?? NaN }"
        :band="store.solvedTank.turnoverBandPerH"
      />
      <FigureRow
        figure="contentsMass"
        :tank-id="store.tank.id"
        label="Weight of the contents"
        :value="{ quantity: 'mass', si: store.solvedTank.contentsMassKg }"
      />
      <FigureRow
        figure="water"
        label="Density of this water"
        :value="{ quantity: 'density', si: store.solved.water.densityKgPerM3 }"
      />
    </section>

    <fieldset :key="store.tank.id" :disabled="!!store.preview" class="min-w-0 space-y-5">
      <section aria-labelledby="inside-sizes">
        <h3 id="inside-sizes" class="heading mb-1">Inside sizes</h3>
        <div class="grid grid-cols-2 gap-x-3 gap-y-2">
          <QuantityRows
            :of="store.tank"
            :rows="sizes"
            :at="['tanks', store.tankIndex]"
            @change="setTank"
          />
        </div>
        <details
          :key="store.tank.id"
          class="mt-2"
          @toggle="knowsOtherwise = ($event.target as HTMLDetailsElement).open"
        >
          <summary class="caption underline">
            Outside sizes, a common size, or only its volume
          </summary>
          <TankSizes
            v-if="knowsOtherwise"
            class="mt-2 border-l-2 border-rule pl-3"
            :of="null"
            :given="false"
            outside
            @sizes="resize"
          />
        </details>
      </section>

      <section aria-labelledby="its-place">
        <h3 id="its-place" class="heading mb-1">
          {{ store.shown.tanks.length > 1 ? 'Its name and place' : 'Its name' }}
        </h3>
        <div class="grid grid-cols-2 gap-x-3 gap-y-2">
          <TextField
            class="col-span-2"
            label="Name of the tank"
            :most="COUNTS.nameLength"
            :model-value="store.tank.name"
            @update:model-value="store.set(['tanks', store.tankIndex, 'name'], $event)"
          />
          <QuantityRows
            v-if="store.shown.tanks.length > 1"
            :of="store.tank"
            :rows="PLACE"
            :at="['tanks', store.tankIndex]"
            @change="setTank"
          />
        </div>
      </section>

      <section aria-labelledby="in-the-water">
        <h3 id="in-the-water" class="heading mb-1">Rock and sand</h3>
        <div class="grid grid-cols-2 gap-x-3 gap-y-2">
          <QuantityRows
            :of="store.tank.displacement"
            :rows="IN_THE_WATER"
            :at="['tanks', store.tankIndex, 'displacement']"
            @change="(name, si) => store.set(['tanks', store.tankIndex, 'displacement', name], si)"
          />
        </div>
      </section>

      <section aria-labelledby="the-water">
        <h3 id="the-water" class="heading mb-1">Water and target</h3>
        <div class="grid grid-cols-2 gap-x-3 gap-y-2">
          <QuantityField
            label="Temperature"
            :at="['water', 'temperatureC']"
            :limit="LIMITS.temperature"
            :model-value="store.shown.water.temperatureC"
            @update:model-value="store.set(['water', 'temperatureC'], $event)"
          />
          <SalinityField
            :temperature-c="store.shown.water.temperatureC"
            :water="store.solved.water"
            :model-value="store.shown.water.salinityPpt"
            @update:model-value="store.set(['water', 'salinityPpt'], $event)"
          />
          <QuantityField
            label="Wanted turnover"
            :limit="LIMITS.turnover"
            hint="Net volumes through the sump"
            :at="['tanks', store.tankIndex, 'turnoverPerH']"
            :model-value="store.tank.turnoverPerH"
            @update:model-value="setTank('turnoverPerH', $event)"
          />
          <QuantityField
            label="The same as a flow"
            :limit="flowLimit"
            :model-value="store.solvedTank.wantedFlowM3PerS"
            @update:model-value="setTank('turnoverPerH', editing.turnoverOfFlow($event, netM3))"
          />
        </div>
        <TurnoverOtherwise
          :key="store.tank.id"
          class="mt-2"
          :turnover-per-h="store.tank.turnoverPerH"
          @wanted="setTank('turnoverPerH', $event)"
        />
      </section>
    </fieldset>
    <p class="caption border-t border-rule pt-3">
      A full tank is heavy: the weight above does not count glass, stand or sump. Ask a licensed
      person what your floor bears, and never move livestock into a system you have not tested.
    </p>
  </div>
</template>
