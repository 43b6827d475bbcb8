<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import { type DoseTarget, setTo, type Solved } from '@yew-basin/core'
import { computed, ref } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import TextField from '../bench/TextField.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'

/** The doses that are quoted, one of them chosen, each against what the lamp gives. */
const { lit } = defineProps<{ lit: Solved<'sterilizer'> | null }>()
const store = useDesign()
const units = useUnits()
const plan = computed(() => store.shown!.treatment)
const opened = ref<string | null>(null)
const against = (id: string) => lit?.targets.find(({ targetId }) => targetId === id)
const set =
  <Name extends keyof DoseTarget>(i: number, name: Name) =>
  (to: DoseTarget[Name]) => {
    const key: keyof DoseTarget = name
    store.set(['treatment', 'targets', i, key], to)
  }

const SAYS = { reached: 'reached', partly: 'partly', short: 'short' } as const
const range = ({ leastJPerM2, mostJPerM2 }: DoseTarget) =>
  leastJPerM2 === mostJPerM2
    ? units.text('dose', mostJPerM2)
    : `${units.shown({ quantity: 'dose', si: leastJPerM2 }).number}–${units.text('dose', mostJPerM2)}`

function race(target: DoseTarget): string {
  const row = against(target.id)
  if (!row || row.halfLifeS === null) return ''
  const { halfLifeS: si, halfLifeBandS: band } = row
  const half = `half gone in ${units.text('duration', si, band)}`
  if (target.doublingS === null) return half
  const twice = units.text('duration', target.doublingS)
  return row.outruns ? `${half}, doubles in ${twice}` : `${half}, but doubles in ${twice}`
}

function add() {
  const id = crypto.randomUUID()
  const target = {
    id,
    organism: 'Another one',
    leastJPerM2: 300,
    mostJPerM2: 300,
    doublingS: null,
    source: 'my own',
  }
  store.set(['treatment', 'targets'], [...plan.value.targets, target])
  opened.value = id
}

function takeOut(id: string) {
  const { targetId, targets } = plan.value
  store.edit([
    setTo(['treatment', 'targetId'], targetId === id ? null : targetId),
    setTo(
      ['treatment', 'targets'],
      targets.filter((target) => target.id !== id),
    ),
  ])
}
</script>

<template>
  <section aria-labelledby="targets-head">
    <h3 id="targets-head" class="heading">What it is for</h3>
    <p class="caption mb-1">
      Doses as quoted, about three tenfold cuts; not guaranteed. The branch is set for the one you
      choose.
    </p>
    <ul class="divide-y divide-rule" aria-label="Targets">
      <li
        v-for="(target, i) in plan.targets"
        :key="target.id"
        class="py-1.5"
        :data-target="target.id"
      >
        <div class="flex items-start gap-2">
          <input
            :id="`target-${target.id}`"
            type="radio"
            name="target"
            class="mt-1"
            :checked="plan.targetId === target.id"
            @change="store.set(['treatment', 'targetId'], target.id)"
          />
          <label :for="`target-${target.id}`" class="grow">
            <span class="font-semibold">{{ target.organism }}</span>
            <span class="caption block">{{ race(target) }}</span>
          </label>
          <span class="whitespace-nowrap text-right">
            {{ range(target) }}
            <span v-if="against(target.id)" class="caption block">
              {{ SAYS[against(target.id)!.reaches] }}, up to
              {{ units.text('flow', against(target.id)!.flowForItM3PerS) }}
            </span>
          </span>
          <button
            class="button"
            :aria-expanded="opened === target.id"
            :aria-label="`Change ${target.organism}`"
            @click="opened = opened === target.id ? null : target.id"
          >
            Edit
          </button>
        </div>
        <div v-if="opened === target.id" class="mt-1 grid grid-cols-2 gap-x-3 gap-y-2">
          <TextField
            label="Organism"
            :most="COUNTS.nameLength"
            :model-value="target.organism"
            @update:model-value="set(i, 'organism')($event)"
          />
          <TextField
            label="Where the dose is from"
            :most="COUNTS.noteLength"
            :model-value="target.source"
            @update:model-value="set(i, 'source')($event)"
          />
          <QuantityField
            label="Least dose quoted"
            :limit="{ ...LIMITS.dose, max: target.mostJPerM2 }"
            :model-value="target.leastJPerM2"
            @update:model-value="set(i, 'leastJPerM2')($event)"
          />
          <QuantityField
            label="Most dose quoted"
            :limit="{ ...LIMITS.dose, min: target.leastJPerM2 }"
            :model-value="target.mostJPerM2"
            @update:model-value="set(i, 'mostJPerM2')($event)"
          />
          <QuantityField
            v-if="target.doublingS !== null"
            label="Its number doubles in"
            :limit="LIMITS.doubling"
            :model-value="target.doublingS"
            @update:model-value="set(i, 'doublingS')($event)"
          />
          <div class="flex items-end gap-2">
            <button
              class="button"
              @click="set(i, 'doublingS')(target.doublingS === null ? 86_400 : null)"
            >
              {{
                target.doublingS === null ? 'It multiplies in open water' : 'It does not multiply'
              }}
            </button>
            <button
              class="icon-button"
              :aria-label="`Take out ${target.organism}`"
              @click="takeOut(target.id)"
            >
              <Trash2 :size="16" />
            </button>
          </div>
        </div>
        <p v-if="opened === target.id" class="caption mt-1">Source: {{ target.source }}.</p>
      </li>
    </ul>
    <button class="button mt-2" :disabled="plan.targets.length >= COUNTS.targets" @click="add">
      <Plus :size="14" /> Another target
    </button>
  </section>
</template>
