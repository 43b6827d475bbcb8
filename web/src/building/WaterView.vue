<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { building } from '@yew-basin/core'
import { computed } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityField from '../bench/QuantityField.vue'
import { useUnits } from '../shell/units.ts'
import BasinPage from '../workspace/BasinPage.vue'
import { useBasin } from '../workspace/use-basin.ts'
import LeakList from './LeakList.vue'
import LevellingFields from './LevellingFields.vue'
import { buildPlanOf, usePlan, usualHint } from './plan-edits.ts'
import PrintSheet from './printed/PrintSheet.vue'
import { useSheet } from './use-sheet.ts'

const { id } = defineProps<{ id: string }>()
const store = useBasin(() => id, 'Before water')
const units = useUnits()
const { sheet } = useSheet()
const { set } = usePlan()
const plan = computed(() => buildPlanOf(store.shown))
const before = computed(() => sheet.value?.beforeWater ?? null)

const LOADS: readonly { part: keyof building.BeforeWater['loads']; label: string }[] = [
  { part: 'waterKg', label: 'Water in the tanks' },
  { part: 'rockKg', label: 'Rock' },
  { part: 'sandKg', label: 'Sand' },
  { part: 'tankKg', label: 'Tanks, empty' },
  { part: 'standKg', label: 'Stands' },
  { part: 'sumpKg', label: 'Sump, empty' },
  { part: 'sumpWaterKg', label: 'Water in the sump' },
]
const kg = (value: number | null) => (value === null ? 'not set' : units.text('mass', value))

const MATERIALS = [
  { value: 'glass', label: 'glass' },
  { value: 'acrylic', label: 'acrylic' },
] as const
const panelsOf = (tankId: string) => plan.value.panels.find((own) => own.tankId === tankId)
function setPanels(tankId: string, more: Partial<building.TankPanels>) {
  const own = panelsOf(tankId) ?? { tankId, material: 'glass' as const, thicknessM: null }
  const others = plan.value.panels.filter((other) => other.tankId !== tankId)
  set({ panels: [...others, { ...own, ...more }] })
}
const orNull = (si: number) => (Number.isNaN(si) ? null : si)
const peopleOf = (tankId: string) =>
  before.value?.tanks.find((tank) => tank.tankId === tankId)?.people ?? null
</script>

<template>
  <BasinPage
    :id="id"
    heading="Before water"
    about="What it weighs and stands on, whether it stands level, what is plugged in, what it is filled with, and each joint to look at under fresh water first."
  >
    <template #beside-heading><PrintSheet :basin-id="id" /></template>
    <p v-if="!before || !sheet" role="status">It is being worked out…</p>
    <div v-else class="grid gap-8 lg:grid-cols-2">
      <section aria-labelledby="water-weight">
        <h3 id="water-weight" class="heading">Weight</h3>
        <dl class="facts">
          <template v-for="{ part, label } in LOADS" :key="part">
            <dt>{{ label }}</dt>
            <dd>{{ kg(before.loads[part]) }}</dd>
          </template>
          <dt class="font-semibold">{{ before.isWhole ? 'All of it' : 'What is known of it' }}</dt>
          <dd class="font-semibold">{{ kg(before.knownKg) }}</dd>
          <dt>On each of {{ before.feet }} feet</dt>
          <dd>{{ before.isWhole ? '' : 'at least ' }}{{ kg(before.kgPerFoot) }}</dd>
        </dl>
        <p class="caption">
          Whether a floor carries that is for somebody licensed to say, above all on a wooden floor
          and away from a wall.
        </p>
        <div class="mt-2 grid grid-cols-2 gap-3">
          <template v-for="tank in store.shown!.tanks" :key="tank.id">
            <ChoiceField
              :label="`${tank.name} is of`"
              :options="MATERIALS"
              :model-value="panelsOf(tank.id)?.material ?? 'glass'"
              @update:model-value="setPanels(tank.id, { material: $event })"
            />
            <QuantityField
              :label="`Panels of ${tank.name}`"
              :limit="LIMITS.panel"
              :hint="
                peopleOf(tank.id)
                  ? `${peopleOf(tank.id)} people lift it empty, at ${units.text('mass', plan.liftKg)} each`
                  : ''
              "
              :model-value="panelsOf(tank.id)?.thicknessM ?? NaN"
              @update:model-value="setPanels(tank.id, { thicknessM: orNull($event) })"
            />
          </template>
          <QuantityField
            label="Stands weigh"
            :limit="LIMITS.emptyKg"
            :model-value="plan.standKg ?? NaN"
            @update:model-value="set({ standKg: orNull($event) })"
          />
          <QuantityField
            label="The empty sump weighs"
            :limit="LIMITS.emptyKg"
            :model-value="plan.sumpKg ?? NaN"
            @update:model-value="set({ sumpKg: orNull($event) })"
          />
          <QuantityField
            label="Feet it stands on"
            :limit="LIMITS.feet"
            :hint="usualHint(plan, 'feet')"
            :model-value="plan.feet"
            @update:model-value="set({ feet: Math.round($event) })"
          />
          <QuantityField
            label="One person lifts"
            :limit="LIMITS.liftKg"
            :hint="usualHint(plan, 'liftKg')"
            :model-value="plan.liftKg"
            @update:model-value="set({ liftKg: $event })"
          />
        </div>
      </section>
      <LevellingFields :levelling="before.levelling" />
      <section aria-labelledby="water-plugs">
        <h3 id="water-plugs" class="heading">Plugged in</h3>
        <dl class="facts">
          <template v-for="(plug, i) in before.pluggedIn" :key="i">
            <dt>{{ plug.name }}</dt>
            <dd>{{ units.text('power', plug.powerW) }}</dd>
          </template>
          <dt class="font-semibold">{{ before.pluggedIn.length }} sockets</dt>
          <dd class="font-semibold">{{ units.text('power', before.allW) }}</dd>
        </dl>
        <p class="caption">
          Each cord hangs in a loop lower than its socket, so that drops fall off it. Sockets stand
          beside the water, never over it, behind a residual-current device; fixed wiring is for
          licensed people.
        </p>
      </section>
      <section aria-labelledby="water-fill">
        <h3 id="water-fill" class="heading">Water and salt</h3>
        <dl class="facts">
          <dt>To fill</dt>
          <dd>{{ units.text('volume', before.fillM3) }}</dd>
          <dt>Salt mix to buy</dt>
          <dd>{{ units.text('mass', before.salt.toBuyKg) }}</dd>
          <dt>of which dissolves</dt>
          <dd>{{ units.text('mass', before.salt.dissolvedKg) }}</dd>
          <template v-if="before.fillS !== null">
            <dt>By your hose</dt>
            <dd>{{ units.text('duration', before.fillS) }}</dd>
          </template>
        </dl>
        <div class="mt-2 grid grid-cols-2 gap-3">
          <QuantityField
            label="What fills it gives"
            :limit="LIMITS.wantedFlow"
            :model-value="plan.fillM3PerS ?? NaN"
            @update:model-value="set({ fillM3PerS: orNull($event) })"
          />
          <QuantityField
            label="Water bound in the mix"
            :limit="LIMITS.boundInMix"
            :hint="usualHint(plan, 'boundInMix')"
            :model-value="plan.boundInMix"
            @update:model-value="set({ boundInMix: $event })"
          />
        </div>
      </section>
      <section aria-labelledby="water-leaks" class="lg:col-span-2">
        <h3 id="water-leaks" class="heading">Leak test, with fresh water</h3>
        <p class="max-w-3xl">
          Cement wants a day before water and two before pressure, silicone three days. Fill with
          fresh water, run the pump, and feel each joint with dry paper. Nothing living moves in
          before all are dry.
        </p>
        <LeakList :sheet="sheet" :basin-id="id" />
      </section>
    </div>
  </BasinPage>
</template>
