<script setup lang="ts">
import { takeOutOf } from '@yew-basin/core'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { useSheet } from '../building/use-sheet.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'

/** Can the sump come out again, and what must come out before it. */
const store = useDesign()
const units = useUnits()
const found = computed(() => takeOutOf(store.shown!))
const names = computed(() =>
  (found.value?.firstOut ?? []).map(
    (id) => store.shown!.sump.devices.find((device) => device.id === id)!.name,
  ),
)
/** Every pipe that enters it must come free first: what the sheet says of it. */
const { sheet } = useSheet()
const pipes = computed(() => sheet.value?.apart.find(({ thing }) => thing.kind === 'sump') ?? null)
</script>

<template>
  <section v-if="found" aria-labelledby="out-head" data-testid="take-out">
    <h3 id="out-head" class="heading mb-1">Can the sump come out again?</h3>
    <p v-if="!found.way">
      No. It wants {{ units.text('length', found.ways[0]?.needsM ?? NaN) }} by
      {{ units.text('length', found.ways[0]?.needsHeightM ?? NaN) }}, and no opening is that wide
      and high, brace out or not. It can only come out by the way it came in before the tank stood.
    </p>
    <template v-else>
      <p>
        <template v-if="found.way.doorIds.length > 1">
          Only with the brace between two doors taken out:
        </template>
        <template v-else>Yes, through one door: </template>
        {{ units.text('length', found.way.needsM) }} of {{ units.text('length', found.way.hasM) }},
        {{ units.text('length', found.way.needsHeightM) }} high of
        {{ units.text('length', found.way.hasHeightM) }}.
      </p>
      <p v-if="names.length > 0" class="mt-1">
        First out: <strong class="font-semibold">{{ names.join(', ') }}</strong>.
      </p>
      <p v-if="pipes && !pipes.isFree" class="mt-1 text-aril">
        But its pipes don’t come free: joined for good to {{ pipes.heldBy.join(', ') }}.
      </p>
      <p v-else-if="pipes && pipes.undo.length > 0" class="mt-1">
        Undo before it: {{ pipes.undo.map(({ name }) => name).join(', ') }}.
      </p>
      <p v-if="pipes" class="mt-1">
        <RouterLink class="underline" :to="`/basins/${store.basin!.id}/comes-apart`"
          >How each thing comes apart</RouterLink
        >
      </p>
      <p class="caption mt-1">
        Empty it first: water is heavy.
        <template v-if="found.way.doorIds.length > 1">
          A brace may carry the tank: drain the tank before it comes out, and ask who built the
          stand.
        </template>
      </p>
    </template>
  </section>
</template>
