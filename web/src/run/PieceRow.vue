<script setup lang="ts">
import { ArrowDown, ArrowUp, GripVertical, Trash2 } from '@lucide/vue'
import { LIMITS, type Limit } from '@yew-basin/contract/limits'
import type { building, editing } from '@yew-basin/core'
import { DIRECTIONS, type EditPath, type Piece, type PieceOf } from '@yew-basin/core'
import QuantityField from '../bench/QuantityField.vue'
import QuantityRows from '../bench/QuantityRows.vue'
import { rowsOf } from '../bench/quantity-row.ts'
import { useUnits } from '../shell/units.ts'
import { CHECK_FORMS, ELBOW_FORMS, kindWords, TEE_FORMS, VALVE_FORMS } from './piece-words.ts'
import OwnFigure from './OwnFigure.vue'
import DeviceFields from './DeviceFields.vue'
import PieceJoints from './PieceJoints.vue'
import PipeSizePicker from './PipeSizePicker.vue'
import TeeOffMenu from './TeeOffMenu.vue'

const { piece, lossM = undefined } = defineProps<{
  piece: Piece
  /** Where the opened design holds it. */
  at: EditPath
  /** What it loses, m; left out where it is not known alone. */
  lossM?: number | undefined
  /** Of the pipe it sits in. */
  boreM: number
  size: building.PipeSize
  position: number
  first: boolean
  last: boolean
  /** The line that meets this tee, in words; empty: none, or no tee. */
  meets: string
  canTee: boolean
}>()
const emit = defineEmits<{
  change: [piece: Piece]
  remove: []
  move: [by: 1 | -1]
  tee: [kind: editing.BranchKind]
}>()
const units = useUnits()
const text = (event: Event) => (event.target as HTMLSelectElement).value
const give = (change: object) => emit('change', { ...piece, ...change })
const turned: Limit = LIMITS.opening

/** A diaphragm valve is open or shut; another form keeps its opening. */
function setForm(form: string) {
  if (piece.kind !== 'valve') return
  give({ form, opening: form === 'diaphragm' && piece.opening > 0 ? 1 : piece.opening })
}

const hoseRows = (at: number) =>
  rowsOf<PieceOf<'free-hose'>>(
    ['lengthM', `Length of piece ${at}`, LIMITS.pipeLength],
    ['byXM', `To the right, piece ${at}`, LIMITS.by],
    ['byYM', `To the back, piece ${at}`, LIMITS.by],
    ['byZM', `Upwards, piece ${at}`, LIMITS.by],
  )
</script>

<template>
  <li class="border-b border-rule py-1.5" :data-piece="piece.kind">
    <div class="flex items-center gap-1.5">
      <span class="handle cursor-grab text-ink-soft" aria-hidden="true"
        ><GripVertical :size="16"
      /></span>
      <span class="w-5 text-right text-sm text-ink-soft">{{ position }}</span>
      <span class="grow font-semibold">{{ kindWords(piece.kind) }}</span>
      <span v-if="lossM !== undefined" class="caption whitespace-nowrap"
        >{{ units.text('length', lossM) }} lost</span
      >
      <button
        class="icon-button size-7!"
        :aria-label="`Move piece ${position} up the list`"
        :disabled="first"
        @click="$emit('move', -1)"
      >
        <ArrowUp :size="14" />
      </button>
      <button
        class="icon-button size-7!"
        :aria-label="`Move piece ${position} down the list`"
        :disabled="last"
        @click="$emit('move', 1)"
      >
        <ArrowDown :size="14" />
      </button>
      <TeeOffMenu
        v-if="canTee && piece.kind !== 'nozzle'"
        :label="`Tee off after piece ${position}`"
        @tee="$emit('tee', $event)"
      />
      <button
        class="icon-button size-7!"
        :aria-label="`Take out piece ${position}`"
        @click="$emit('remove')"
      >
        <Trash2 :size="14" />
      </button>
    </div>
    <div class="ml-7 mt-0.5 pr-1">
      <div v-if="piece.kind === 'pipe'" class="grid grid-cols-2 gap-2">
        <select
          class="box"
          :aria-label="`Direction of piece ${position}`"
          :value="piece.direction"
          @change="give({ direction: text($event) })"
        >
          <option v-for="direction in DIRECTIONS" :key="direction">{{ direction }}</option>
        </select>
        <QuantityField
          :label="`Length of piece ${position}`"
          :at="[...at, 'lengthM']"
          hide-label
          :limit="LIMITS.pipeLength"
          :hint="units.family === 'us' ? units.cut(piece.lengthM, 32) : ''"
          :model-value="piece.lengthM"
          @update:model-value="give({ lengthM: $event })"
        />
      </div>
      <select
        v-else-if="piece.kind === 'elbow'"
        class="box"
        :aria-label="`Form of piece ${position}`"
        :value="piece.form"
        @change="give({ form: text($event) })"
      >
        <option v-for="{ value, label } in ELBOW_FORMS" :key="value" :value="value">
          {{ label }}
        </option>
      </select>
      <div v-else-if="piece.kind === 'valve'" class="space-y-1">
        <div class="grid grid-cols-2 gap-2">
          <select
            class="box"
            :aria-label="`Form of piece ${position}`"
            :value="piece.form"
            @change="setForm(text($event))"
          >
            <option v-for="{ value, label } in VALVE_FORMS" :key="value" :value="value">
              {{ label }}
            </option>
          </select>
          <QuantityField
            v-if="piece.form !== 'diaphragm'"
            :label="`Opening of piece ${position}`"
            hide-label
            :limit="turned"
            :model-value="piece.opening"
            @update:model-value="give({ opening: $event })"
          />
          <select
            v-else
            class="box"
            :aria-label="`Opening of piece ${position}`"
            :value="piece.opening"
            @change="give({ opening: Number(text($event)) })"
          >
            <option :value="1">open</option>
            <option :value="0">shut</option>
          </select>
        </div>
        <input
          v-if="piece.form !== 'diaphragm'"
          type="range"
          min="0"
          max="100"
          class="block w-full accent-(--needle)"
          :aria-label="`Turn the valve, piece ${position}`"
          :value="Math.round(piece.opening * 100)"
          @input="give({ opening: Number(text($event)) / 100 })"
        />
      </div>
      <select
        v-else-if="piece.kind === 'check-valve'"
        class="box"
        :aria-label="`Form of piece ${position}`"
        :value="piece.form"
        @change="give({ form: text($event) })"
      >
        <option v-for="{ value, label } in CHECK_FORMS" :key="value" :value="value">
          {{ label }}
        </option>
      </select>
      <template v-else-if="piece.kind === 'reducer'">
        <PipeSizePicker
          name="Goes on in"
          compact
          :model-value="piece.to"
          @update:model-value="give({ to: $event })"
        />
        <OwnFigure
          label="gradual, with an angle"
          :field="`Included angle of piece ${position}`"
          :limit="LIMITS.reducerAngle"
          :start="30"
          :model-value="piece.angleDeg"
          @update:model-value="give({ angleDeg: $event })"
        />
      </template>
      <div v-else-if="piece.kind === 'tee'">
        <select
          class="box"
          :aria-label="`Form of piece ${position}`"
          :value="piece.form"
          @change="give({ form: text($event) })"
        >
          <option v-for="{ value, label } in TEE_FORMS" :key="value" :value="value">
            {{ label }}
          </option>
        </select>
        <p class="caption">{{ meets || 'Plugged: no other line meets it.' }}</p>
      </div>
      <DeviceFields
        v-else-if="piece.kind === 'device'"
        :piece="piece"
        :position="position"
        @give="give($event)"
      />
      <div v-else-if="piece.kind === 'free-hose'" class="grid grid-cols-2 gap-2">
        <QuantityRows
          :of="piece"
          :rows="hoseRows(position)"
          :at="at"
          @change="(name, si) => give({ [name]: si })"
        />
      </div>
      <QuantityField
        v-else-if="piece.kind === 'nozzle'"
        label="Bore of its mouth"
        :limit="LIMITS.bore"
        :model-value="piece.boreM"
        @update:model-value="give({ boreM: $event })"
      />
      <OwnFigure
        v-else-if="piece.kind === 'bulkhead'"
        label="a bore other than the pipe’s"
        :field="`Bore of piece ${position}`"
        :limit="LIMITS.bore"
        :start="boreM"
        :model-value="piece.boreM"
        @update:model-value="give({ boreM: $event })"
      />
      <OwnFigure
        v-if="piece.kind === 'valve' || piece.kind === 'check-valve'"
        label="maker’s flow coefficient"
        :field="`Coefficient of piece ${position}, open`"
        :limit="LIMITS.kv"
        :start="20"
        :model-value="piece.kvM3PerH"
        @update:model-value="give({ kvM3PerH: $event })"
      />
      <PieceJoints
        v-if="piece.kind !== 'pipe' && piece.kind !== 'free-hose' && piece.kind !== 'device'"
        :piece="piece"
        :position="position"
        :size="size"
        @change="$emit('change', $event)"
      />
    </div>
  </li>
</template>
