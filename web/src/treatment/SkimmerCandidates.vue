<script setup lang="ts">
import { skimmerCandidates, type Device, type DevicePart } from '@yew-basin/core'
import { computed } from 'vue'
import { useParts } from '../parts/parts-store.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { NOISE_NAMES } from './treatment-words.ts'

/** Every skimmer in this one's place, by both schools, with what it would free. */
const { device } = defineProps<{ device: Device }>()
const emit = defineEmits<{ swap: [part: DevicePart, standM: number] }>()
const store = useDesign()
const parts = useParts()
const units = useUnits()

const SAYS = { small: 'small', fits: 'fits', large: 'large' } as const
const rows = computed(() => {
  const specs = parts.parts.flatMap((part) =>
    part.kind === 'skimmer' ? [{ ...part.spec, id: part.id, name: part.name }] : [],
  )
  const known = specs.some(({ id }) => id === device.part.id)
  return skimmerCandidates(
    store.running!,
    store.solved!,
    device.id,
    known ? specs : [device.part, ...specs],
  ).toSorted((a, b) => a.skimmer.inForce.ratedM3 - b.skimmer.inForce.ratedM3)
})
const signed = (quantity: 'area' | 'power', si: number) =>
  `${si > 0 ? '−' : si < 0 ? '+' : ''}${units.text(quantity, Math.abs(si))}`
</script>

<template>
  <section aria-labelledby="candidates-head">
    <h3 id="candidates-head" class="heading">Would another one do?</h3>
    <p class="caption mb-1">
      Each in the same place, on the stand that suits it, against {{ device.name }}.
    </p>
    <div class="overflow-x-auto">
      <table class="w-full text-[0.85rem]">
        <thead>
          <tr class="caption text-left">
            <th scope="col" class="pr-2 font-normal">Skimmer</th>
            <th scope="col" class="pr-2 font-normal">match</th>
            <th scope="col" class="pr-2 font-normal">oversize</th>
            <th scope="col" class="pr-2 font-normal">place</th>
            <th scope="col" class="pr-2 text-right font-normal">surface, power</th>
            <th scope="col"><span class="sr-only">Take it</span></th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="{ part, skimmer, fits, standM, freesM2, savesW } in rows"
            :key="part.id"
            class="border-t border-rule align-top"
            :class="{ 'bg-needle-wash': part.id === device.part.id }"
            :data-candidate="part.id"
          >
            <th scope="row" class="py-1 pr-2 text-left font-semibold">
              {{ part.name }}
              <span class="caption block font-normal">{{ NOISE_NAMES[part.noise] }}</span>
            </th>
            <td class="py-1 pr-2">{{ SAYS[skimmer.verdicts.match.says] }}</td>
            <td class="py-1 pr-2">{{ SAYS[skimmer.verdicts.oversize.says] }}</td>
            <td class="py-1 pr-2">
              {{ fits ? 'stands' : 'no room' }}
              <span v-if="standM > 0" class="caption block"
                >on {{ units.text('length', standM) }}</span
              >
            </td>
            <td class="whitespace-nowrap py-1 pr-2 text-right">
              <template v-if="part.id !== device.part.id">
                {{ signed('area', freesM2) }}
                <span class="caption block">{{ signed('power', savesW) }}</span>
              </template>
              <template v-else>stands there</template>
            </td>
            <td class="py-1 text-right">
              <button
                v-if="part.id !== device.part.id"
                class="button"
                :aria-label="`Take ${part.name}`"
                :disabled="!!store.preview"
                @click="emit('swap', part, standM)"
              >
                Take
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
