<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { type SumpWall, type WallKind, type EditPath, editing } from '@yew-basin/core'
import { computed } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityField from '../bench/QuantityField.vue'
import TickField from '../bench/TickField.vue'
import { useDesign } from '../workspace/design-store.ts'
import { WALLS } from './sump-words.ts'

/** The walls, left to right: how water passes, how high, where. */
const store = useDesign()
const walls = computed(() => store.shown!.sump.walls)
const heightM = computed(() => store.shown!.sump.box!.heightM)
const at = <const More extends EditPath>(index: number, ...more: More) =>
  ['sump', 'walls', index, ...more] as const
const setKind = (index: number, wall: SumpWall, kind: WallKind) =>
  store.set(at(index), editing.wallOfKind(wall, kind))
function placeLimit(index: number) {
  const { leastM, mostM } = editing.wallRange(store.shown!.sump, index)
  return { ...LIMITS.wallPlace, min: leastM, max: Math.max(leastM, mostM) }
}
</script>

<template>
  <section v-if="walls.length > 0" aria-labelledby="walls-heading">
    <h3 id="walls-heading" class="heading">Walls, left to right</h3>
    <ol class="border-t border-rule" aria-label="Walls">
      <li v-for="(wall, i) in walls" :key="wall.id" class="border-b border-rule py-2">
        <div class="grid grid-cols-2 gap-x-3 gap-y-1">
          <ChoiceField
            :label="`Wall ${i + 1}: water passes`"
            :options="WALLS"
            :model-value="wall.kind"
            @update:model-value="setKind(i, wall, $event)"
          />
          <QuantityField
            :label="`From the left, wall ${i + 1}`"
            :limit="placeLimit(i)"
            :at="at(i, 'atM')"
            :model-value="wall.atM"
            @update:model-value="store.set(at(i, 'atM'), $event)"
          />
          <QuantityField
            :label="`Top, wall ${i + 1}`"
            :limit="{ ...LIMITS.wallTop, min: Math.max(0.01, wall.slotM + 0.01), max: heightM }"
            :at="at(i, 'topM')"
            :model-value="wall.topM"
            @update:model-value="store.set(at(i, 'topM'), $event)"
          />
          <QuantityField
            v-if="wall.kind === 'under'"
            :label="`Slot, wall ${i + 1}`"
            :limit="{ ...LIMITS.slot, min: 0.002, max: wall.topM - 0.01 }"
            :model-value="wall.slotM"
            @update:model-value="store.set(at(i, 'slotM'), $event)"
          />
          <template v-if="wall.kind === 'pipe'">
            <QuantityField
              :label="`Bore of its pipe, wall ${i + 1}`"
              :limit="LIMITS.bore"
              :model-value="wall.pipeBoreM"
              @update:model-value="store.set(at(i, 'pipeBoreM'), $event)"
            />
            <QuantityField
              :label="`Height of its pipe, wall ${i + 1}`"
              :limit="LIMITS.wallTop"
              :model-value="wall.pipeHeightM"
              @update:model-value="store.set(at(i, 'pipeHeightM'), $event)"
            />
          </template>
          <template v-if="wall.kind === 'comb' && wall.teeth">
            <QuantityField
              :label="`Slots of the comb, wall ${i + 1}`"
              :limit="{ ...LIMITS.slotWidth, max: wall.teeth.pitchM - 0.0005 }"
              :model-value="wall.teeth.slotWidthM"
              @update:model-value="store.set([...at(i, 'teeth'), 'slotWidthM'], $event)"
            />
            <QuantityField
              :label="`Its teeth’s height, wall ${i + 1}`"
              :limit="{ ...LIMITS.toothHeight, max: wall.topM - 0.005 }"
              :model-value="wall.teeth.heightM"
              @update:model-value="store.set([...at(i, 'teeth'), 'heightM'], $event)"
            />
          </template>
        </div>
        <div class="mt-1 flex flex-wrap gap-x-4">
          <TickField
            label="Height can be set"
            :model-value="wall.adjustable"
            @update:model-value="store.set(at(i, 'adjustable'), $event)"
          />
          <TickField
            label="Lets no light through"
            :model-value="wall.opaque"
            @update:model-value="store.set(at(i, 'opaque'), $event)"
          />
        </div>
      </li>
    </ol>
  </section>
</template>
