<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Plus, Trash2 } from '@lucide/vue'
import { COUNTS } from '@yew-basin/contract/limits'
import { type DrainRole, setTo, insertAt, editing } from '@yew-basin/core'
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import AssumedNote from '../bench/AssumedNote.vue'
import BenchHead from '../bench/BenchHead.vue'
import FindingList from '../bench/FindingList.vue'
import TankSwitch from '../bench/TankSwitch.vue'
import { rigidSeries } from '../run/usual-sizes.ts'
import StateMark from '../shell/StateMark.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import BlockedTable from './BlockedTable.vue'
import DrainFields from './DrainFields.vue'
import { ROLES, stateWords } from './drain-words.ts'
import SchoolPicker from './SchoolPicker.vue'

const store = useDesign()
const units = useUnits()
const overflow = computed(() => store.tank?.overflow ?? null)
const solvedOverflow = computed(
  () => store.solved?.overflows.find(({ tankId }) => tankId === store.tank?.id) ?? null,
)
const rows = computed(() =>
  store.shown!.drains.flatMap((drain, index) =>
    drain.tankId === store.tank!.id
      ? [
          {
            drain,
            index,
            solved: store.solved!.drains[index]!,
            state:
              store.solved!.findings.find(({ drainId }) => drainId === drain.id)?.severity ??
              ('fine' as const),
          },
        ]
      : [],
  ),
)
const chosen = computed(() => rows.value.find(({ drain }) => drain.id === store.drainId) ?? null)
const schools = ref(false)

function add(role: DrainRole) {
  const design = store.design!
  const drain = editing.oneMoreDrain(
    design,
    {
      tankId: store.tank!.id,
      school: 'siphon-emergency',
      chamberId: editing.entryOf(design.sump).id,
      series: rigidSeries(rows.value[0]?.drain.run.size.series, units.family),
      flowM3PerS: store.solvedTank!.flowM3PerS,
    },
    role,
  )
  store.lay([insertAt(['drains'], design.drains.length, drain)])
  store.drainId = drain.id
}

/** What joins it comes down beside it instead. */
function remove(id: string) {
  const { drains } = store.design!
  const gone = drains.find((drain) => drain.id === id)!
  const tees = new Set(gone.run.pieces.map((piece) => piece.id))
  const left = drains
    .filter((drain) => drain.id !== id)
    .map((drain) =>
      drain.end.at === 'tee' && tees.has(drain.end.id) ? { ...drain, end: gone.end } : drain,
    )
  store.edit([setTo(['drains'], left)])
  store.drainId = null
}
</script>

<template>
  <div v-if="store.shown && store.solved && store.tank" class="space-y-5 px-5 py-4">
    <BenchHead station="drains">
      From the box down to the sump, and what happens when one is blocked.
    </BenchHead>
    <TankSwitch />
    <p v-if="!overflow">
      This tank has no overflow yet.
      <RouterLink class="underline" :to="`/basins/${store.basin?.id}/overflow`"
        >Say how water leaves it</RouterLink
      >
      first.
    </p>
    <p v-else-if="!overflow.box">
      Water falls straight into the chamber behind the wall: there is nothing to drain.
    </p>
    <template v-else>
      <FindingList station="drains" />
      <AssumedNote station="drains" />
      <SchoolPicker v-if="rows.length === 0" />
      <template v-else>
        <BlockedTable v-if="solvedOverflow" :solved="solvedOverflow" />
        <section aria-labelledby="drains-heading">
          <div class="flex items-center">
            <h3 id="drains-heading" class="heading grow">Pipes</h3>
            <Menu as="div" class="relative">
              <MenuButton
                class="button"
                :disabled="!!store.preview || store.shown.drains.length >= COUNTS.drains"
                ><Plus :size="15" /> Add a pipe</MenuButton
              >
              <MenuItems
                class="absolute right-0 z-20 mt-1 w-52 rounded-lg border border-rule bg-sheet p-1 shadow-lg"
              >
                <MenuItem v-for="role in ROLES" :key="role.value" v-slot="{ active }" as="template">
                  <button
                    class="block w-full rounded px-3 py-1.5 text-left"
                    :class="{ 'bg-sunk': active }"
                    @click="add(role.value)"
                  >
                    {{ role.label }}
                  </button>
                </MenuItem>
              </MenuItems>
            </Menu>
          </div>
          <ul class="mt-1 border-t border-rule" aria-label="Pipes">
            <li
              v-for="row in rows"
              :key="row.drain.id"
              class="flex items-center border-b border-rule"
            >
              <button
                class="flex grow items-center gap-2 px-1.5 py-1 text-left"
                :class="row.drain.id === store.drainId ? 'bg-needle-wash' : 'hover:bg-sunk'"
                :aria-expanded="row.drain.id === store.drainId"
                @click="store.drainId = row.drain.id === store.drainId ? null : row.drain.id"
              >
                <StateMark :state="row.state" :size="13" />
                <span class="grow">{{ row.drain.name }}</span>
                <span class="whitespace-nowrap"
                  ><strong class="font-semibold">{{
                    units.text('flow', row.solved.flowM3PerS, row.solved.flowBandM3PerS)
                  }}</strong>
                  <span class="caption ml-1">{{ stateWords(row.solved) }}</span></span
                >
              </button>
              <button
                class="icon-button size-7!"
                :aria-label="`Take out ${row.drain.name}`"
                :disabled="!!store.preview"
                @click="remove(row.drain.id)"
              >
                <Trash2 :size="14" />
              </button>
            </li>
          </ul>
        </section>
        <fieldset v-if="chosen" :key="chosen.drain.id" :disabled="!!store.preview" class="min-w-0">
          <DrainFields :drain="chosen.drain" :solved="chosen.solved" :index="chosen.index" />
        </fieldset>
        <div>
          <button class="button" :aria-expanded="schools" @click="schools = !schools">
            {{ schools ? 'Keep these pipes' : 'Another school…' }}
          </button>
          <SchoolPicker v-if="schools" class="mt-2" />
        </div>
      </template>
    </template>
    <p class="caption border-t border-rule pt-3">
      Figures are estimates; fill with fresh water and try every blocked pipe by hand before
      anything lives here. Primer and cement: air, gloves and the whole cure time.
    </p>
  </div>
</template>
