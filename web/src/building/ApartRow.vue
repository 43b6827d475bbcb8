<script setup lang="ts">
import type { building } from '@yew-basin/core'
import { computed } from 'vue'
import StateMark from '../shell/StateMark.vue'
import { useUnits } from '../shell/units.ts'
import { runsOutWords, SHUT_IN, UNDO_WORDS } from './apart-words.ts'
import { useLight, useMarked } from './use-light.ts'

/** One thing, and how it comes out again. */
const { row } = defineProps<{ row: building.ApartRow }>()
const units = useUnits()

const pieces = computed(() =>
  [row.thing.pieceId, ...row.undo.map(({ pieceId }) => pieceId)].filter((id) => id !== null),
)
const { isLit, light } = useLight(() => pieces.value)
/** Joints that it shares with others mark none of them. */
const isMarked = useMarked(() => (row.thing.pieceId === null ? [] : [row.thing.pieceId]))
const SIDE = { in: ', where water comes in', out: ', where it leaves' } as const
/** A lamp is drawn out lengthwise; the sleeve round it keeps the water. */
function drawnWords({ wantsM, freeM }: NonNullable<building.ApartRow['thing']['drawn']>): string {
  const wants = `Drawn out lengthwise, cold and unplugged: it wants ${units.text('length', wantsM)} beyond one end`
  return freeM === null
    ? `${wants}. No water runs out while its sleeve stays.`
    : `${wants}, and has ${units.text('length', freeM)}. No water runs out while its sleeve stays.`
}
const unreachedWords = computed(() =>
  row.unreached.length === 0
    ? ''
    : `, for no tool gets to ${row.unreached.map(({ name }) => name).join(', ')}`,
)
const runsOut = computed(() => runsOutWords(row, units))
</script>

<template>
  <li
    class="border-b border-rule py-2"
    :class="{ 'bg-needle-wash': isMarked }"
    :data-thing="row.thing.id"
  >
    <div class="flex items-start gap-2">
      <StateMark
        :state="!row.isFree ? 'stop' : row.thing.shutInBy ? 'watch' : 'fine'"
        :size="14"
        class="mt-1"
      />
      <div class="min-w-0 grow">
        <p class="font-semibold leading-snug">{{ row.thing.name }}</p>
        <p v-if="row.thing.shutInBy" class="text-resin">{{ SHUT_IN[row.thing.shutInBy] }}</p>
        <p v-if="!row.isFree" class="text-aril">
          Can’t come out without cutting: joined for good to {{ row.heldBy.join(', ')
          }}{{ unreachedWords }}.
        </p>
        <p v-else-if="row.thing.drawn && row.standsFree">{{ drawnWords(row.thing.drawn) }}</p>
        <p v-else-if="row.standsFree">Comes out as it is: no pipe holds it.</p>
        <template v-else>
          <p v-if="row.thing.drawn">
            {{ drawnWords(row.thing.drawn) }} So the whole sterilizer comes out for a new lamp.
          </p>
          <p v-if="row.shut.length > 0">
            Shut first: {{ row.shut.map(({ name }) => name).join(', ') }}.
          </p>
          <ul :aria-label="`To undo for ${row.thing.name}`">
            <li v-for="joint in row.undo" :key="joint.jointId">
              {{ joint.name }}
              <span class="caption"
                >({{ UNDO_WORDS[joint.kind] }}{{ joint.side ? SIDE[joint.side] : '' }})</span
              >
            </li>
          </ul>
          <p class="caption">Runs out: {{ runsOut }}.</p>
        </template>
      </div>
      <button
        v-if="pieces.length > 0"
        class="button shrink-0"
        :aria-pressed="isLit"
        :aria-label="`Show in the section: ${row.thing.name}`"
        @click="light"
      >
        Show
      </button>
    </div>
  </li>
</template>
