<script setup lang="ts">
import { say, type RuleBeside, type Working } from '@yew-basin/core'
import { useUnits } from '../shell/units.ts'

const { working } = defineProps<{ working: Working }>()
const units = useUnits()

function offText({ offBy }: RuleBeside): string {
  if (offBy === null) return ''
  const percent = Math.round(Math.abs(offBy) * 100)
  if (percent === 0) return 'the same here'
  return `${percent}% too ${offBy > 0 ? 'high' : 'low'} here`
}
</script>

<template>
  <div class="mb-3 rounded-lg bg-sunk px-3 py-2.5 text-[0.9rem]" data-testid="working">
    <p class="font-mono text-[0.8rem]">{{ working.formula }}</p>
    <p class="mt-1 break-words font-mono text-[0.8rem]">{{ say(working.filled, units.family) }}</p>
    <table class="mt-2 w-full">
      <caption class="sr-only">
        Values in the formula
      </caption>
      <tbody>
        <tr v-for="(term, i) in working.terms" :key="i">
          <th
            scope="row"
            class="whitespace-nowrap pr-2 text-left align-top font-mono text-[0.8rem] font-normal"
          >
            {{ term.symbol }}
          </th>
          <td class="caption align-top">{{ term.meaning }}</td>
          <td class="whitespace-nowrap pl-2 text-right align-top">
            {{ units.text(term.value.quantity, term.value.si) }}
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="working.note.text" class="mt-2">{{ say(working.note, units.family) }}</p>
    <ul
      v-if="working.rules.length > 0"
      class="mt-2 border-t border-rule pt-2"
      aria-label="Rules of thumb"
    >
      <li v-for="(rule, i) in working.rules" :key="i">
        <span class="caption">Rule of thumb:</span> {{ say(rule.rule, units.family)
        }}<template v-if="offText(rule)"
          >, <strong class="font-semibold">{{ offText(rule) }}</strong></template
        >
      </li>
    </ul>
    <p class="caption mt-2">{{ working.source }}</p>
  </div>
</template>
