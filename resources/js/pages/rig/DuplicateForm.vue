<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { postJson, sentenceOf } from '@/api/http'
import { type RigData, rigsQuery } from '@/api/rigs'
import { shelfQuery } from '@/api/shelf'
import { useNotice } from '@/composables/useNotice'
import LabelledField from '@/components/form/LabelledField.vue'

export interface DuplicateFormProps {
  rig: RigData
}
const props = defineProps<DuplicateFormProps>()

const router = useRouter()
const client = useQueryClient()
const notice = useNotice()
const isOpen = ref(false)
const name = ref('')
const receiver = ref('')
const problem = ref('')
const shelf = useQuery({ ...shelfQuery, enabled: isOpen })
const receivers = computed(() => (shelf.data.value?.cards ?? []).filter((card) => card.kind === 'receiver'))

function open(): void {
  name.value = `${props.rig.document.name} 2`
  isOpen.value = true
}

async function duplicate(): Promise<void> {
  try {
    const made = await postJson<RigData>(`/rigs/${props.rig.slug}/duplicate`, {
      name: name.value,
      ...(receiver.value === '' ? {} : { receiver: receiver.value }),
    })
    void client.invalidateQueries({ queryKey: rigsQuery.queryKey })
    notice.say(`${made.document.name}: what is set in the handset is kept; what lies in the craft is open.`)
    await router.push(`/rigs/${made.slug}/check-out`)
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
</script>

<template>
  <p v-if="!isOpen"><ActButton kind="link" @click="open">Duplicate this rig, for a relay or another receiver</ActButton></p>
  <form v-else class="duplicate" @submit.prevent="duplicate">
    <LabelledField label="Name"><input v-model="name" class="field" maxlength="200" required /></LabelledField>
    <LabelledField label="Receiver"><PickField v-model="receiver" :options="choicesOf(receivers, 'id', 'name', 'the same')" /></LabelledField>
    <ActButton kind="primary" html-type="submit">Duplicate</ActButton>
    <ActButton @click="isOpen = false">Cancel</ActButton>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </form>
</template>

<style scoped>
.duplicate {
  display: flex;
  flex-wrap: wrap;
  gap: 0.7rem;
  align-items: end;
  margin: 0.6rem 0;
}
.problem {
  color: var(--stop);
  width: 100%;
}
</style>
