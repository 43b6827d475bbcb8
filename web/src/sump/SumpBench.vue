<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { type Sump, type SumpBox, editing } from '@yew-basin/core'
import { computed, defineAsyncComponent, ref } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import FigureRow from '../bench/FigureRow.vue'
import AssumedNote from '../bench/AssumedNote.vue'
import BenchHead from '../bench/BenchHead.vue'
import FindingList from '../bench/FindingList.vue'
import QuantityField from '../bench/QuantityField.vue'
import QuantityRows from '../bench/QuantityRows.vue'
import { rowsOf, type QuantityOf } from '../bench/quantity-row.ts'
import ChamberList from '../pumps/ChamberList.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import TopOffFields from './TopOffFields.vue'
import ChamberRows from './ChamberRows.vue'
import LayoutCompare from './LayoutCompare.vue'
import NewSump from './NewSump.vue'
import WallRows from './WallRows.vue'

const CutList = defineAsyncComponent(() => import('./CutList.vue'))
const store = useDesign()
const units = useUnits()
const box = computed(() => store.shown?.sump.box ?? null)
const solved = computed(() => store.solved!.sump)
const anew = ref(false)
const setBox = (name: QuantityOf<SumpBox>, si: number) => store.set(['sump', 'box', name], si)
const setLength = (si: number) => store.set(['sump'], editing.withLength(store.design!.sump, si))
const setHeight = (si: number) => store.set(['sump'], editing.withHeight(store.design!.sump, si))
const PLACE = rowsOf<SumpBox>(
  ['panelM', 'Panels of the sump', LIMITS.panel],
  ['xM', 'Sump’s left face', LIMITS.place],
  ['yM', 'Sump’s front face', LIMITS.place],
  ['floorHeightM', 'Its floor over the room’s', LIMITS.floorHeight],
)
const WISHES = rowsOf<Sump>(
  ['marginM', 'Margin to keep after a power cut', LIMITS.margin],
  ['hungWaterM3', 'Hung gear lets go', LIMITS.submerged],
  ['evaporationMmPerDay', 'Evaporation', LIMITS.evaporation],
)
/** Where the room's air is given, what evaporates follows from it. */
const byAir = computed(() => store.shown?.heat?.humidity != null)
const wishes = computed(() =>
  byAir.value ? WISHES.filter(([name]) => name !== 'evaporationMmPerDay') : WISHES,
)
</script>

<template>
  <div v-if="store.shown && store.solved" class="space-y-5 px-5 py-4">
    <BenchHead station="sump">
      Where the water waits, what is done to it there, and what a power cut brings.
    </BenchHead>
    <FindingList station="sump" />
    <AssumedNote station="sump" />
    <template v-if="!box">
      <NewSump />
      <ChamberList />
    </template>
    <template v-else>
      <section v-if="solved.outage" aria-label="Figures">
        <FigureRow
          v-if="solved.outage.fillLineM !== null"
          figure="fillLine"
          label="Fill no higher than, while it runs"
          :value="{ quantity: 'length', si: solved.outage.fillLineM - box.floorHeightM }"
        />
        <FigureRow
          figure="drainBack"
          label="Comes down in a power cut"
          :value="{ quantity: 'volume', si: solved.outage.drainBack.totalM3 }"
        />
        <FigureRow
          v-if="solved.waterUse?.untilAirS != null"
          figure="untilAir"
          label="Without top-off the pump lasts"
          :value="{ quantity: 'days', si: solved.waterUse.untilAirS }"
        />
        <dl class="facts">
          <dt>After a power cut, to the rim</dt>
          <dd>
            {{
              solved.outage.leftM === null ? 'spills' : units.text('length', solved.outage.leftM)
            }}
          </dd>
          <template v-if="solved.outage.withoutCheck">
            <dt>were the check valve stuck open</dt>
            <dd>
              {{
                solved.outage.withoutCheck.spills
                  ? 'spills'
                  : units.text('length', solved.outage.withoutCheck.marginM)
              }}
            </dd>
            <template v-if="solved.outage.withoutCheck.fillLineM !== null">
              <dt>and then filled no higher than</dt>
              <dd>
                {{ units.text('length', solved.outage.withoutCheck.fillLineM - box.floorHeightM) }}
              </dd>
            </template>
          </template>
          <template v-if="solved.outage.missingM3 > 0">
            <dt>Has no room, even with the return chamber empty</dt>
            <dd>{{ units.text('volume', solved.outage.missingM3) }}</dd>
          </template>
          <dt>Water in the sump</dt>
          <dd>{{ units.text('volume', solved.volumeM3 ?? NaN) }}</dd>
          <template v-if="solved.waterUse?.reservoirS != null">
            <dt>The top-off reservoir lasts</dt>
            <dd>{{ units.text('days', solved.waterUse.reservoirS) }}</dd>
            <dt>Salinity, if all of it ran in</dt>
            <dd>{{ units.text('salinity', solved.waterUse.salinityAfterPpt ?? NaN) }}</dd>
          </template>
        </dl>
      </section>
      <ChamberRows />
      <fieldset :disabled="!!store.preview" class="min-w-0 space-y-5">
        <WallRows />
        <section aria-labelledby="sump-sizes">
          <h3 id="sump-sizes" class="heading mb-1">Inside sizes and place</h3>
          <div class="grid grid-cols-2 gap-x-3 gap-y-2">
            <QuantityField
              label="Length of the sump"
              :limit="{ ...LIMITS.sumpLength, min: editing.leastLengthM(store.shown.sump) }"
              :at="['sump', 'box', 'lengthM']"
              :model-value="box.lengthM"
              @update:model-value="setLength"
            />
            <QuantityField
              label="Width of the sump"
              :limit="LIMITS.sumpLength"
              :at="['sump', 'box', 'widthM']"
              :model-value="box.widthM"
              @update:model-value="setBox('widthM', $event)"
            />
            <QuantityField
              label="Height to its rim"
              :limit="LIMITS.sumpHeight"
              :at="['sump', 'box', 'heightM']"
              :model-value="box.heightM"
              @update:model-value="setHeight"
            />
            <QuantityRows :of="box" :rows="PLACE" :at="['sump', 'box']" @change="setBox" />
            <ChoiceField
              label="The sump is"
              :options="[
                { value: 'bought', label: 'bought' },
                { value: 'self-built', label: 'built by yourself' },
              ]"
              :model-value="box.make"
              @update:model-value="store.set(['sump', 'box', 'make'], $event)"
            />
          </div>
        </section>
        <section aria-labelledby="sump-wishes">
          <h3 id="sump-wishes" class="heading mb-1">Margins and water</h3>
          <div class="grid grid-cols-2 gap-x-3 gap-y-2">
            <QuantityRows
              :of="store.shown.sump"
              :rows="wishes"
              :at="['sump']"
              @change="(name, si) => store.set(['sump', name], si)"
            />
          </div>
          <p v-if="byAir" class="caption">
            What evaporates follows from the room’s air, at Skimmer and devices.
          </p>
          <TopOffFields class="mt-2" />
        </section>
        <CutList v-if="box.make === 'self-built'" />
        <LayoutCompare />
      </fieldset>
      <div>
        <button class="button" :aria-expanded="anew" @click="anew = !anew">
          {{ anew ? 'Keep this sump' : 'Lay it out anew…' }}
        </button>
        <NewSump v-if="anew" class="mt-2" @made="anew = false" />
      </div>
    </template>
    <p class="caption border-t border-rule pt-3">
      Draw the line on the glass, then pull the plug and watch before anything lives here. A full
      sump is heavy; nothing electrical stands or hangs above open water.
    </p>
  </div>
</template>
