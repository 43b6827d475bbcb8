<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { pumpCurve, readAtHead, type PumpPart, type Solved } from '@yew-basin/core'
import { computed, ref } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import OwnFigure from '../run/OwnFigure.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'

/** What a keeper would read or guess for a pump, beside what it gives in this run. */
const { part, solved } = defineProps<{ part: PumpPart; solved: Solved<'pump'> }>()
const store = useDesign()
const units = useUnits()
/** A tank's height over its sump, as most are asked for. */
const headM = ref(1.2)
const read = computed(() => readAtHead(pumpCurve(part), solved.speed, headM.value))
const banded = (si: number, band: number) =>
  band > 0
    ? `${units.text('flow', si, band)} ± ${units.band({ quantity: 'flow', si }, band)}`
    : units.text('flow', si)
const here = computed(() => banded(solved.flowM3PerS, solved.flowBandM3PerS))
/** What a pump is taken to give of its print until the keeper has measured one. */
const USUAL_SHARE = 0.6
const offWords = (offBy: number) =>
  `${units.text('share', Math.abs(offBy))} ${offBy < 0 ? 'under' : 'over'} what it gives here`
</script>

<template>
  <section aria-labelledby="beside-duty">
    <h3 id="beside-duty" class="heading">Read off its curve, and by experience</h3>
    <p class="caption mb-1">
      In this run: {{ here }} at {{ units.text('head', solved.headM, solved.headBandM) }}.
    </p>
    <div class="grid grid-cols-[8rem_1fr] items-start gap-x-3">
      <QuantityField v-model="headM" label="At a head of" :limit="LIMITS.pumpHead" />
      <p class="pt-6" data-testid="read-at-head">
        its curve gives
        <strong class="font-semibold">{{
          banded(read.flowM3PerS, read.bandM3PerS)
        }}</strong><template v-if="solved.twoNumberCurve">, on a two-number curve</template>
      </p>
    </div>
    <OwnFigure
      label="I measured what my last pump gave of its printed flow"
      field="Share of its print"
      :limit="LIMITS.ownShare"
      :start="USUAL_SHARE"
      :model-value="store.shown!.returnSide.ownShare"
      @update:model-value="store.set(['returnSide', 'ownShare'], $event)"
    />
    <p v-if="solved.ownShareFlowM3PerS !== null" data-testid="own-share">
      So this one: {{ units.text('flow', solved.ownShareFlowM3PerS)
      }}<template v-if="solved.ownShareOffBy !== null"
        >, {{ offWords(solved.ownShareOffBy) }}</template
      >.
    </p>
  </section>
</template>
