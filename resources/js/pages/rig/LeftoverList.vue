<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { reactive, ref } from 'vue'
import type { LeftoverView, RigData } from '@/api/rigs'
import LabelledField from '@/components/form/LabelledField.vue'
import StateMark from '@/components/StateMark.vue'
import { useWho } from '@/composables/useWho'
import { day } from '@/lib/dates'
import type { RigHandle } from '@/composables/useRig'

/** Work that is not done, and what somebody has left as it is: for a reason, by name, and printed. */
export interface LeftoverListProps {
  rig: RigData
  handle: RigHandle
  leftovers: LeftoverView[]
  /** Whether each says to which step it belongs. */
  withStep?: boolean
}
const props = defineProps<LeftoverListProps>()

const by = useWho()
const asked = ref<string | null>(null)
const reasons = reactive<Record<string, string>>({})

async function leave(leftover: LeftoverView): Promise<void> {
  const told = { what: leftover.what, reason: (reasons[leftover.what] ?? '').trim(), by: by.value.trim() }
  if (!(await props.handle.prove('leave-as-is', told))) return
  asked.value = null
  reasons[leftover.what] = ''
}
</script>

<template>
  <ul class="plain-list leftovers">
    <li v-for="leftover in leftovers" :key="leftover.what" :class="{ left: leftover.left }">
      <StateMark :state="leftover.left ? 'done' : leftover.state" />
      <div>
        <RouterLink v-if="withStep || leftover.page !== leftover.step" :to="`/rigs/${rig.slug}/${leftover.page}`">{{ leftover.page }}</RouterLink>
        {{ leftover.sentence }}
        <p v-if="leftover.left" class="muted small">
          Left as it is: {{ leftover.left.reason }} ({{ leftover.left.by }}, {{ day(leftover.left.at) }}).
          <ActButton kind="link" @click="handle.intend('take-up-again', { what: leftover.what })">Take it up again</ActButton>
        </p>
        <form v-else-if="asked === leftover.what" class="told" @submit.prevent="leave(leftover)">
          <LabelledField label="Why it may stay as it is" is-growing
            ><input v-model="reasons[leftover.what]" class="field" maxlength="200" autocomplete="off"
          /></LabelledField>
          <LabelledField label="By"><input v-model="by" class="field by" maxlength="80" autocomplete="name" /></LabelledField>
          <ActButton html-type="submit" :loading="handle.isSending.value" :disabled="(reasons[leftover.what] ?? '').trim() === '' || by.trim() === ''"
            >Leave it as it is</ActButton
          >
          <ActButton @click="asked = null">Cancel</ActButton>
        </form>
      </div>
      <ActButton
        kind="link"
        v-if="!leftover.left && asked !== leftover.what"
        :aria-label="`Leave as it is: ${leftover.sentence}`"
        @click="asked = leftover.what"
      >
        leave as it is
      </ActButton>
    </li>
  </ul>
</template>

<style scoped src="./toldLine.css"></style>
<style scoped>
.leftovers li {
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr) auto;
  gap: 0.2rem 0.7rem;
  padding: 0.45rem 0;
  border-bottom: 1px solid var(--line);
  align-items: start;
}
.left {
  color: var(--muted);
}
@media (max-width: 700px) {
  .leftovers li {
    grid-template-columns: 20px minmax(0, 1fr);
  }
  .leftovers li > .link-act {
    grid-column: 2;
    justify-self: start;
    min-height: 44px;
  }
}
</style>
