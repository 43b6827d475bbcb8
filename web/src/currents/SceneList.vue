<script setup lang="ts">
import { Plus } from '@lucide/vue'
import { COUNTS } from '@yew-basin/contract/limits'
import {
  ROCK_LAYOUTS,
  rockLayout,
  START_NAMES,
  startLayout,
  solidVolumeM3,
  type RockLayoutName,
  type RockSolid,
  type StartName,
} from '@yew-basin/core'
import { computed, onMounted, ref } from 'vue'
import { useParts } from '../parts/parts-store.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import HowManyPanel from './HowManyPanel.vue'
import { useCurrents, type Chosen } from './currents-store.ts'
import { LAYOUT_WORDS, START_WORDS } from './currents-words.ts'

/** What moves the water and what stands in it, with layouts to begin from. */
const store = useDesign()
const currents = useCurrents()
const parts = useParts()
const units = useUnits()
onMounted(() => void parts.want())
const newId = () => crypto.randomUUID()

const offers = computed(() =>
  parts.parts.flatMap((part) =>
    part.kind === 'circulation' ? [{ ...part.spec, id: part.id, name: part.name }] : [],
  ),
)
const partId = ref('')
const part = computed(() => offers.value.find(({ id }) => id === partId.value) ?? offers.value[3])
const start = ref<StartName>('two-facing')
/** Why one would begin so. */
const reason = computed(() =>
  part.value ? startLayout(start.value, currents.domain!, part.value, newId).reason : '',
)
const layout = ref<RockLayoutName>('two-islands')

function begin() {
  const made = startLayout(start.value, currents.domain!, part.value!, newId)
  currents.setPumps(made.pumps)
  currents.chosen = null
}
function addPump() {
  const [first] = startLayout('one', currents.domain!, part.value!, newId).pumps
  const n = currents.scene!.pumps.length + 1
  const pump = { ...first!, name: `${part.value!.name} · ${n}` }
  currents.setPumps([...currents.scene!.pumps, pump])
  currents.chosen = { kind: 'pump', id: pump.id }
}
function addRock(form: RockSolid['form']) {
  const { lengthM, widthM, depthM, sandDepthM } = currents.domain!
  const size = { lengthM: 0.25 * lengthM, widthM: 0.3 * widthM, heightM: 0.35 * depthM }
  const rock: RockSolid = {
    id: newId(),
    name: `Rock ${currents.scene!.rocks.length + 1}`,
    form,
    zone: 'soft',
    xM: (lengthM - size.lengthM) / 2,
    yM: (widthM - size.widthM) / 2,
    zM: sandDepthM,
    ...size,
  }
  currents.setRocks([...currents.scene!.rocks, rock])
  currents.chosen = { kind: 'rock', id: rock.id }
}
function layRock() {
  currents.setRocks(rockLayout(layout.value, currents.domain!, newId))
  currents.chosen = null
}

const nozzles = computed(() => currents.domain!.streams.filter(({ from }) => from === 'nozzle'))
const drawnM3 = computed(() =>
  currents.scene!.rocks.reduce((sum, rock) => sum + solidVolumeM3(rock), 0),
)
const isChosen = (kind: Chosen['kind'], id: string) =>
  currents.chosen?.kind === kind && currents.chosen.id === id
const row = (on: boolean) => (on ? 'bg-needle-wash font-semibold text-needle' : 'hover:bg-sunk')
</script>

<template>
  <div class="space-y-4 p-3">
    <section aria-labelledby="moves-head">
      <h2 id="moves-head" class="heading">What moves the water</h2>
      <ul aria-label="Circulation pumps">
        <li v-for="pump in currents.scene!.pumps" :key="pump.id">
          <button
            class="flex w-full items-baseline gap-2 rounded-md px-2 py-1 text-left"
            :class="row(isChosen('pump', pump.id))"
            :aria-pressed="isChosen('pump', pump.id)"
            @click="currents.chosen = { kind: 'pump', id: pump.id }"
          >
            <span class="grow truncate">{{ pump.name }}</span>
            <span class="caption whitespace-nowrap">
              {{ pump.part.name }}, {{ units.text('share', pump.speed) }}
            </span>
          </button>
        </li>
        <li v-for="stream in nozzles" :key="stream.id">
          <button
            class="flex w-full items-baseline gap-2 rounded-md px-2 py-1 text-left"
            :class="row(isChosen('nozzle', stream.id))"
            :aria-pressed="isChosen('nozzle', stream.id)"
            @click="currents.chosen = { kind: 'nozzle', id: stream.id }"
          >
            <span class="grow truncate">{{ stream.name }}</span>
            <span class="caption whitespace-nowrap">
              line end, {{ units.text('flow', stream.flowM3PerS) }}
            </span>
          </button>
        </li>
      </ul>
      <label class="mt-1.5 block">
        <span class="caption">Circulation pump from the library</span>
        <select v-model="partId" class="box">
          <option value="" disabled>{{ part ? part.name : 'The library is on its way…' }}</option>
          <option v-for="offer in offers" :key="offer.id" :value="offer.id">
            {{ offer.name }} · {{ offer.form }}, {{ units.text('flow', offer.flowM3PerS) }}
          </option>
        </select>
      </label>
      <button
        v-if="part"
        class="button mt-1.5"
        :disabled="!!store.preview || currents.scene!.pumps.length >= COUNTS.circulationPumps"
        @click="addPump"
      >
        <Plus :size="15" /> Add one
      </button>
      <label class="mt-2 block">
        <span class="caption">Or begin from a layout of it</span>
        <select v-model="start" class="box">
          <option v-for="name in START_NAMES" :key="name" :value="name">
            {{ START_WORDS[name] }}
          </option>
        </select>
      </label>
      <p v-if="reason" class="mt-1 text-[0.9rem]">{{ reason }}</p>
      <button v-if="part" class="button mt-1.5" :disabled="!!store.preview" @click="begin">
        Place them so
      </button>
      <HowManyPanel v-if="part" class="mt-4" :part="part" />

      <p v-if="parts.fault" class="text-aril">{{ parts.fault }}</p>
    </section>
    <section aria-labelledby="stands-head">
      <h2 id="stands-head" class="heading">What stands in it</h2>
      <ul aria-label="Rocks">
        <li v-for="rock in currents.scene!.rocks" :key="rock.id">
          <button
            class="flex w-full items-baseline gap-2 rounded-md px-2 py-1 text-left"
            :class="row(isChosen('rock', rock.id))"
            :aria-pressed="isChosen('rock', rock.id)"
            @click="currents.chosen = { kind: 'rock', id: rock.id }"
          >
            <span class="grow truncate">{{ rock.name }}</span>
            <span class="caption">{{ rock.form }}</span>
          </button>
        </li>
      </ul>
      <div class="mt-1.5 flex flex-wrap gap-1.5">
        <button
          v-for="form in ['boulder', 'box'] as const"
          :key="form"
          class="button"
          :disabled="!!store.preview || currents.scene!.rocks.length >= COUNTS.rocks"
          @click="addRock(form)"
        >
          <Plus :size="15" /> {{ form === 'box' ? 'Box' : 'Boulder' }}
        </button>
      </div>
      <label class="mt-2 block">
        <span class="caption">Or a ready layout</span>
        <select v-model="layout" class="box">
          <option v-for="name in ROCK_LAYOUTS" :key="name" :value="name">
            {{ LAYOUT_WORDS[name] }}
          </option>
        </select>
      </label>
      <button class="button mt-1.5" :disabled="!!store.preview" @click="layRock">Lay it so</button>
      <p class="caption mt-1">
        The solids take {{ units.text('volume', drawnM3) }} as drawn; by its mass the rock takes
        {{ units.text('volume', store.solvedTank!.rockVolumeM3) }}, which is what the volumes go by.
      </p>
    </section>
  </div>
</template>
