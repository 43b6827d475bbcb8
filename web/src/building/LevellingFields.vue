<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { building } from '@yew-basin/core'
import { computed } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { buildPlanOf, usePlan } from './plan-edits.ts'

/** Four readings of a level, and what goes under each corner. */
const { levelling } = defineProps<{ levelling: building.BeforeWater['levelling'] }>()
const store = useDesign()
const units = useUnits()
const { set } = usePlan()
const corners = computed(() => buildPlanOf(store.shown).corners)

const CORNERS: readonly { at: keyof building.CornerReadings; label: string }[] = [
  { at: 'backLeftM', label: 'Back left' },
  { at: 'backRightM', label: 'Back right' },
  { at: 'frontLeftM', label: 'Front left' },
  { at: 'frontRightM', label: 'Front right' },
]
const UNREAD = { frontLeftM: null, frontRightM: null, backLeftM: null, backRightM: null }
const read = (at: keyof building.CornerReadings, si: number) =>
  set({ corners: { ...(corners.value ?? UNREAD), [at]: Number.isNaN(si) ? null : si } })
/** Twisted by more than this, a stand works on the glass, m (choice). */
const TWIST_M = 0.001
</script>

<template>
  <section aria-labelledby="water-level">
    <h3 id="water-level" class="heading">Level</h3>
    <p>
      How high each corner stands over one level line: by a long level, a clear hose with water in
      it, or a laser. Zero is as good as any height.
    </p>
    <div class="mt-2 grid max-w-md grid-cols-2 gap-3">
      <QuantityField
        v-for="{ at, label } in CORNERS"
        :key="at"
        :label="label"
        :limit="LIMITS.cornerReading"
        :model-value="corners?.[at] ?? NaN"
        @update:model-value="read(at, $event)"
      />
    </div>
    <p v-if="corners && !levelling" class="caption">
      Read all four, and what goes under each is said.
    </p>
    <template v-if="levelling">
      <dl class="facts mt-2">
        <template v-for="{ at, label } in CORNERS" :key="at">
          <dt>Under {{ label.toLowerCase() }}</dt>
          <dd>
            {{ levelling.shims[at] > 0 ? units.text('length', levelling.shims[at]) : 'nothing' }}
          </dd>
        </template>
      </dl>
      <p v-if="levelling.twistM > TWIST_M" class="text-resin">
        The four corners are {{ units.text('length', levelling.twistM) }} out of one plane: the
        stand twists what stands on it. Shim it before the tank is on it, and read again.
      </p>
    </template>
  </section>
</template>
