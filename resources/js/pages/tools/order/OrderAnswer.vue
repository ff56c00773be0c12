<script setup lang="ts">
import type { OrderAnswer } from '@/api/generated/order.out'

export interface OrderProps {
  answer: OrderAnswer
}
defineProps<OrderProps>()
</script>

<template>
  <div>
    <p class="big">{{ answer.correct ? 'Right: each stick moves what it should.' : 'Wrong answer.' }}</p>
    <table>
      <thead>
        <tr>
          <th scope="col">stick</th>
          <th scope="col">leaves on</th>
          <th scope="col">arrives on</th>
          <th scope="col">moves</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in answer.trace" :key="row.letter">
          <td class="value">{{ row.letter }}</td>
          <td class="value">{{ row.handset_channel }}</td>
          <td class="value">{{ row.arrives_on }}</td>
          <td class="value" :class="{ bad: row.read_as !== row.letter }">{{ row.read_as }}{{ row.read_as === row.letter ? '' : ', wrong' }}</td>
        </tr>
      </tbody>
    </table>
    <ul v-if="answer.fixes.length > 0" class="fixes">
      <li v-for="fix in answer.fixes" :key="fix.at">
        <b>{{ fix.change }}</b>
        <template v-if="fix.table">
          <span v-for="row in fix.table" :key="row.letter" class="plug"
            >{{ row.letter }} plug into pin <b class="value">{{ row.pin }}</b>, marked {{ row.label }}</span
          >
        </template>
        <small class="muted">Touches: {{ fix.touches }}</small>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.fixes {
  margin: 0.7rem 0 0 1.1rem;
}
.fixes small,
.plug {
  display: block;
}
</style>
