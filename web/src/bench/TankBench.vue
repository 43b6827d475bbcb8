<script setup lang="ts">
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import { computed } from 'vue'
import { useDesign } from '../workspace/design-store.ts'
import FigureRow from './FigureRow.vue'
import FindingList from './FindingList.vue'
import QuantityField from './QuantityField.vue'
import SalinityField from './SalinityField.vue'
import TankPicker from './TankPicker.vue'
import TextField from './TextField.vue'

const store = useDesign()
const tank = (name: string) => (si: number) => store.set(['tanks', store.tankIndex, name], si)
/** The rim stays over the overflow's crest. */
const rimLimit = computed(() => ({
  ...LIMITS.waterLevel,
  min: store.tank?.overflow ? store.tank.overflow.crestM + 0.005 : LIMITS.waterLevel.min,
}))
const displacement = (name: string) => (si: number) =>
  store.set(['tanks', store.tankIndex, 'displacement', name], si)
</script>

<template>
  <div
    v-if="store.shown && store.solved && store.tank && store.solvedTank"
    class="space-y-5 px-5 py-4"
  >
    <div>
      <h2 class="text-2xl font-semibold">Tank and target</h2>
      <p class="text-ink-soft">
        Inside sizes, what stands in the water, and what you want of the loop.
      </p>
    </div>
    <TankPicker />
    <FindingList stop="tank" />

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
          <QuantityField
            label="Length"
            :limit="LIMITS.tankLength"
            :model-value="store.tank.lengthM"
            @update:model-value="tank('lengthM')($event)"
          />
          <QuantityField
            label="Width, front to back"
            :limit="LIMITS.tankWidth"
            :model-value="store.tank.widthM"
            @update:model-value="tank('widthM')($event)"
          />
          <QuantityField
            label="Height of the panels"
            :limit="LIMITS.tankHeight"
            :model-value="store.tank.heightM"
            @update:model-value="tank('heightM')($event)"
          />
          <QuantityField
            label="Rim, where it spills"
            :limit="rimLimit"
            :model-value="store.tank.rimM"
            @update:model-value="tank('rimM')($event)"
          />
          <QuantityField
            v-if="!store.tank.overflow"
            label="Running water level"
            :limit="LIMITS.waterLevel"
            :model-value="store.tank.waterLevelM"
            @update:model-value="tank('waterLevelM')($event)"
          />
          <QuantityField
            label="Tank’s floor over the room’s"
            :limit="LIMITS.floorHeight"
            :model-value="store.tank.floorHeightM"
            @update:model-value="tank('floorHeightM')($event)"
          />
        </div>
      </section>

      <section v-if="store.shown.tanks.length > 1" aria-labelledby="its-place">
        <h3 id="its-place" class="heading mb-1">Its name and place</h3>
        <div class="grid grid-cols-2 gap-x-3 gap-y-2">
          <TextField
            class="col-span-2"
            label="Name of the tank"
            :most="COUNTS.nameLength"
            :model-value="store.tank.name"
            @update:model-value="store.set(['tanks', store.tankIndex, 'name'], $event)"
          />
          <QuantityField
            label="Left face, to the right of zero"
            :limit="LIMITS.place"
            :model-value="store.tank.xM"
            @update:model-value="tank('xM')($event)"
          />
          <QuantityField
            label="Front face, behind zero"
            :limit="LIMITS.place"
            :model-value="store.tank.yM"
            @update:model-value="tank('yM')($event)"
          />
        </div>
      </section>

      <section aria-labelledby="in-the-water">
        <h3 id="in-the-water" class="heading mb-1">Rock and sand</h3>
        <div class="grid grid-cols-2 gap-x-3 gap-y-2">
          <QuantityField
            label="Rock"
            :limit="LIMITS.rockMass"
            :model-value="store.tank.displacement.rockMassKg"
            @update:model-value="displacement('rockMassKg')($event)"
          />
          <QuantityField
            label="Rock’s density"
            :limit="LIMITS.rockDensity"
            :model-value="store.tank.displacement.rockDensityKgPerM3"
            @update:model-value="displacement('rockDensityKgPerM3')($event)"
          />
          <QuantityField
            label="Sand, dry"
            :limit="LIMITS.sandMass"
            :model-value="store.tank.displacement.sandMassKg"
            @update:model-value="displacement('sandMassKg')($event)"
          />
          <QuantityField
            label="Density of its grains"
            :limit="LIMITS.sandDensity"
            :model-value="store.tank.displacement.sandGrainDensityKgPerM3"
            @update:model-value="displacement('sandGrainDensityKgPerM3')($event)"
          />
        </div>
      </section>

      <section aria-labelledby="the-water">
        <h3 id="the-water" class="heading mb-1">Water and target</h3>
        <div class="grid grid-cols-2 gap-x-3 gap-y-2">
          <QuantityField
            label="Temperature"
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
            :model-value="store.tank.turnoverPerH"
            @update:model-value="tank('turnoverPerH')($event)"
          />
        </div>
      </section>
    </fieldset>
    <p class="caption border-t border-rule pt-3">
      A full tank is heavy: the weight above does not count glass, stand or sump. Ask a licensed
      person what your floor bears, and never move livestock into a system you have not tested.
    </p>
  </div>
</template>
