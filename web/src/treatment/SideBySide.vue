<script setup lang="ts">
/** Parts beside each other in the same place: a column each, a row for what matters here. */
defineProps<{
  name: string
  columns: readonly { readonly id: string; readonly name: string }[]
  rows: readonly { readonly label: string; readonly values: readonly string[] }[]
}>()
</script>

<template>
  <div
    class="my-2 overflow-x-auto border-y border-rule"
    tabindex="0"
    role="region"
    :aria-label="name"
  >
    <table class="w-full text-[0.95rem]" data-testid="side-by-side">
      <caption class="sr-only">
        {{
          name
        }}
      </caption>
      <thead>
        <tr>
          <td></td>
          <th
            v-for="column in columns"
            :key="column.id"
            scope="col"
            class="px-1.5 py-1 text-left align-bottom font-semibold"
          >
            {{ column.name }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.label" class="border-t border-rule">
          <th scope="row" class="caption py-1 pr-1.5 text-left align-top font-normal">
            {{ row.label }}
          </th>
          <td v-for="(value, i) in row.values" :key="i" class="px-1.5 py-1 align-top">
            {{ value }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
