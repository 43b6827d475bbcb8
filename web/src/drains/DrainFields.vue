<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import {
  drainAtTee,
  joinedMatch,
  steadyState,
  type Drain,
  type Piece,
  type Point,
  setTo,
  type EditPath,
  editing,
  type Solved,
} from '@yew-basin/core'
import { computed } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import FigureRow from '../bench/FigureRow.vue'
import QuantityField from '../bench/QuantityField.vue'
import TextField from '../bench/TextField.vue'
import { COUNTS } from '@yew-basin/contract/limits'
import RunEditor from '../run/RunEditor.vue'
import { useNotices } from '../shell/notices.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { INLETS, LANDS, ROLES, TOUCH } from './drain-words.ts'

/** One drain: what it is for, its inlet, its end and its run. */
const { drain, solved, index } = defineProps<{
  drain: Drain
  solved: Solved<'drain'>
  index: number
}>()
const store = useDesign()
const units = useUnits()
const notices = useNotices()
const at = <const More extends EditPath>(...more: More) => ['drains', index, ...more] as const

const touch = computed(() => match.value?.touch && TOUCH[match.value.touch])

/** Chambers, and tees of the same box's other drains that nothing joins yet. */
const ends = computed(() => {
  const { sump, drains } = store.shown!
  const met = new Set(
    drains.flatMap(({ id, end }) => (end.at === 'tee' && id !== drain.id ? end.id : [])),
  )
  const joinable = drains.filter(
    (other) => other.tankId === drain.tankId && other.id !== drain.id && other.end.at === 'chamber',
  )
  const joins = drains.some(
    (other) => other.end.at === 'tee' && drain.run.pieces.some((p) => p.id === other.end.id),
  )
  return [
    ...sump.chambers.map(({ id, name }) => ({ value: `chamber ${id}`, label: `into ${name}` })),
    ...drains.flatMap((other) =>
      editing.mayJoin(store.shown!, drain, other)
        ? [{ value: `join ${other.id}`, label: `joins ${other.name}` }]
        : [],
    ),
    ...(joins
      ? []
      : joinable.flatMap((other) =>
          other.run.pieces.flatMap((piece) =>
            piece.kind === 'tee' && !met.has(piece.id)
              ? [{ value: `tee ${piece.id}`, label: `into ${other.name}, at its tee` }]
              : [],
          ),
        )),
  ]
})
function setEnd(chosen: string) {
  const [kind, ...rest] = chosen.split(' ')
  if (kind === 'join') {
    const other = store.design!.drains.findIndex(({ id }) => id === rest.join(' '))
    return store.lay(editing.joinDrain(store.design!, index, other))
  }
  store.set(at('end'), {
    ...drain.end,
    at: kind === 'tee' ? 'tee' : 'chamber',
    id: rest.join(' '),
  })
}

/** A siphon that joins another is matched on the drains themselves, when it is looked at. */
const match = computed(() => solved.match ?? joinedMatch(steadyState(store.shown!), index))
/** A tee goes out with what joins there: that pipe then ends where this one does. */
function mayTake(piece: Piece): boolean {
  const member = drainAtTee(store.shown!, piece.id)
  if (member < 0) return true
  store.edit([
    setTo(['drains', member, 'end'], drain.end),
    setTo(
      at('run', 'pieces'),
      drain.run.pieces.filter(({ id }) => id !== piece.id),
    ),
  ])
  return false
}
function meets(piece: Piece): string {
  const member = store.shown!.drains[drainAtTee(store.shown!, piece.id)]
  return member ? `${member.name} joins here.` : ''
}

function setValve() {
  store.edit(
    solved.match
      ? editing.tuneValve(store.design!, index, solved.match)
      : editing.tuneAlike(store.design!, drain.tankId, match.value!),
  )
}
/** A flow to its band's place, with that. */
function bandedFlow(si: number, band: number): string {
  const flow = units.text('flow', si, band)
  return band > 0 ? `${flow} ± ${units.band({ quantity: 'flow', si }, band)}` : flow
}
const place = (axis: keyof Point) => (si: number) => store.set(at('inlet', 'place', axis), si)
function moveEnd(axis: keyof Point, toM: number) {
  const by = { xM: 0, yM: 0, zM: 0, [axis]: toM - solved.mouth[axis] }
  const edits = editing.moveDrainEnd(store.design!, index, by)
  if (edits.length > 0) store.edit(edits)
  else notices.tell('No pipe of this drain along that way can give so much: add one, or a hose.')
}
/** Along which ways a pipe or a hose of it can give. */
const endAxes = computed(() =>
  END_AXES.filter(({ axis }) => {
    const by = { xM: 0, yM: 0, zM: 0, [axis]: 0.001 }
    return editing.moveDrainEnd(store.shown!, index, by).length > 0
  }),
)
const END_AXES = [
  { axis: 'zM', label: 'Its end over the room’s floor' },
  { axis: 'xM', label: 'End, from the first tank’s left' },
  { axis: 'yM', label: 'End, from the first tank’s front' },
] as const
</script>

<template>
  <div class="space-y-4">
    <section aria-label="Figures of the drain">
      <FigureRow
        figure="drainFlow"
        :drain-id="drain.id"
        label="It carries"
        :value="{ quantity: 'flow', si: solved.flowM3PerS }"
        :band="solved.flowBandM3PerS"
      />
      <dl class="facts">
        <dt>Full of water it would carry</dt>
        <dd>
          {{ bandedFlow(solved.primedM3PerS, solved.primedBandM3PerS) }}
        </dd>
        <dt>Water over its inlet</dt>
        <dd>{{ solved.overInletM > 0 ? units.text('length', solved.overInletM) : 'none' }}</dd>
        <template v-if="solved.leastOverInletM !== null">
          <dt>An open inlet wants, to draw no air</dt>
          <dd>{{ units.text('length', solved.leastOverInletM) }}</dd>
        </template>
        <template v-if="solved.bellOverInletM !== null">
          <dt>ANSI/HI 9.8 asks, of large bells</dt>
          <dd>{{ units.text('length', solved.bellOverInletM) }}</dd>
        </template>
        <template v-if="solved.filledShare !== null">
          <dt>Of its section filled</dt>
          <dd>{{ units.text('share', solved.filledShare) }}</dd>
          <dt>Vented, it takes at the most</dt>
          <dd>{{ units.text('flow', solved.vented!.mostM3PerS) }}</dd>
          <template v-if="solved.nearLevelM3PerS !== null">
            <dt>Its flattest stretch, half full</dt>
            <dd>{{ units.text('flow', solved.nearLevelM3PerS) }}</dd>
          </template>
        </template>
        <template v-if="solved.emergency">
          <dt>Its open mouth takes, with the water at the rim</dt>
          <dd>
            {{ bandedFlow(solved.emergency.openAtRimM3PerS, solved.emergency.openAtRimBandM3PerS) }}
          </dd>
          <dt>Running full, it takes there</dt>
          <dd>
            {{
              solved.emergency.primedAtRimM3PerS > 0
                ? bandedFlow(
                    solved.emergency.primedAtRimM3PerS,
                    solved.emergency.primedAtRimBandM3PerS,
                  )
                : 'it never runs full'
            }}
          </dd>
          <dt>Rise over its lip with the whole flow</dt>
          <dd>
            {{
              solved.emergency.riseNeededM !== null
                ? units.text('length', solved.emergency.riseNeededM)
                : 'it is shut'
            }}
          </dd>
        </template>
        <template v-if="solved.startsAgain && solved.flowM3PerS > 0">
          <dt>Starts again by itself</dt>
          <dd>{{ solved.startsAgain.restart }}</dd>
        </template>
        <dt>It ends</dt>
        <dd>{{ solved.end === 'under-water' ? 'under water' : 'in air' }}</dd>
      </dl>
      <p v-if="match && match.opening !== null" class="rounded-lg bg-sunk px-3 py-2 text-[0.92rem]">
        <strong
          >{{ units.text('share', match.opening, match.openingBand)
          }}<template v-if="match.openingBand">
            ±
            {{ units.band({ quantity: 'share', si: match.opening }, match.openingBand) }}</template
          >
          open</strong
        >
        its {{ match.form }} valve matches the flow<template v-if="!solved.match"
          >, with all siphons of this tank set alike</template
        >.
        <template v-if="match.levelPerTouchM !== null">
          <template v-if="touch">{{ touch }} </template>
          {{ match.form === 'ball' ? 'One degree' : 'One turn' }} moves the box by
          {{ units.text('length', match.levelPerTouchM)
          }}<template v-if="match.form === 'gate'"> (ten turns to a stroke)</template>.
        </template>
        <template v-if="drain.keepsMatch">It is kept so, whatever flow comes.</template>
        <button v-else class="button ml-2" :disabled="!!store.preview" @click="setValve">
          Set it so
        </button>
        <label class="mt-1 flex items-center gap-2">
          <input
            type="checkbox"
            :checked="drain.keepsMatch"
            :disabled="!!store.preview"
            @change="store.set(at('keepsMatch'), ($event.target as HTMLInputElement).checked)"
          />
          Keep it matched: the setting follows the flow
        </label>
      </p>
    </section>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <TextField
        label="Name of the drain"
        :most="COUNTS.nameLength"
        :model-value="drain.name"
        @update:model-value="store.set(at('name'), $event)"
      />
      <ChoiceField
        label="It is a"
        :options="ROLES"
        :model-value="drain.role"
        @update:model-value="store.set(at('role'), $event)"
      />
      <ChoiceField
        label="Inlet"
        :options="INLETS"
        :model-value="drain.inlet.form"
        @update:model-value="store.set(at('inlet', 'form'), $event)"
      />
      <QuantityField
        label="Its lip over the room’s floor"
        :at="at('inlet', 'place', 'zM')"
        :limit="LIMITS.place"
        :model-value="drain.inlet.place.zM"
        @update:model-value="place('zM')($event)"
      />
      <QuantityField
        v-if="drain.inlet.form === 'strainer'"
        label="Strainer’s open area over the pipe’s"
        :limit="LIMITS.openAreaRatio"
        :model-value="drain.inlet.openAreaRatio"
        @update:model-value="store.set(at('inlet', 'openAreaRatio'), $event)"
      />
      <QuantityField
        label="Inlet, from the first tank’s left"
        :limit="LIMITS.place"
        :model-value="drain.inlet.place.xM"
        @update:model-value="place('xM')($event)"
      />
      <QuantityField
        label="Inlet, from the first tank’s front"
        :limit="LIMITS.place"
        :model-value="drain.inlet.place.yM"
        @update:model-value="place('yM')($event)"
      />
      <ChoiceField
        label="It goes"
        :options="ends"
        :model-value="`${drain.end.at} ${drain.end.id}`"
        @update:model-value="setEnd"
      />
      <ChoiceField
        v-if="drain.end.at === 'chamber'"
        label="and lands in a"
        :options="LANDS"
        :model-value="drain.end.landing"
        @update:model-value="store.set(at('end', 'landing'), $event)"
      />
      <template v-if="drain.end.at === 'chamber'">
        <QuantityField
          v-for="{ axis, label } in endAxes"
          :key="axis"
          :label="label"
          :limit="LIMITS.place"
          :model-value="solved.mouth[axis]"
          @update:model-value="moveEnd(axis, $event)"
        />
      </template>
    </div>
    <RunEditor
      :run="drain.run"
      :path="at('run')"
      heading="Pipe from the inlet on"
      :can-tee="false"
      :meets="meets"
      :may-take="mayTake"
    />
  </div>
</template>
