<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import FileField from '@/components/form/FileField.vue'
import { nextTick, ref } from 'vue'
import { sentenceOf } from '@/api/http'

export interface FileTakeProps {
  label: string
  /** What the file should hold, in words. */
  what: string
  /** What its button does. */
  act?: string
  take: (text: string) => Promise<void>
}
const props = withDefaults(defineProps<FileTakeProps>(), { act: 'Import' })

const LARGEST = 12 * 1024 * 1024
const isOpen = ref(false)
const text = ref('')
const problem = ref('')
const isBusy = ref(false)
const area = ref<HTMLTextAreaElement | null>(null)

async function open(): Promise<void> {
  isOpen.value = !isOpen.value
  await nextTick()
  area.value?.focus()
}

async function read(file: File | undefined): Promise<void> {
  if (file === undefined) return
  if (file.size > LARGEST) {
    problem.value = `Found a file of ${(file.size / 1048576).toFixed(1)} MB; expected ${props.what} of at most ${LARGEST / 1048576} MB.`
    return
  }
  text.value = await file.text()
  await send()
}

async function send(): Promise<void> {
  isBusy.value = true
  problem.value = ''
  try {
    await props.take(text.value)
    isOpen.value = false
    text.value = ''
  } catch (error) {
    problem.value = sentenceOf(error)
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <div class="take">
    <ActButton :aria-expanded="isOpen" @click="open">{{ label }}</ActButton>
    <section
      v-if="isOpen"
      class="panel"
      :aria-label="label"
      @keydown.esc="isOpen = false"
      @dragover.prevent
      @drop.prevent="read($event.dataTransfer?.files[0])"
    >
      <label class="paste"
        >Paste {{ what }}, or drop a file here <textarea ref="area" v-model="text" class="field value" rows="7" spellcheck="false"></textarea>
      </label>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="row">
        <ActButton kind="primary" :disabled="text.trim() === ''" :loading="isBusy" @click="send">{{ act }}</ActButton>
        <FileField says="Choose a file" name="to import" accept=".yaml,.yml,.json,text/plain" @take="read" />
        <ActButton @click="isOpen = false">Close</ActButton>
      </div>
      <slot />
    </section>
  </div>
</template>

<style scoped>
.take {
  position: relative;
}
.panel {
  position: absolute;
  right: 0;
  top: calc(100% + 8px);
  z-index: 10;
  width: min(560px, 92vw);
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  padding: 1rem;
  box-shadow: 0 6px 22px rgb(0 0 0 / 18%);
}
.paste {
  display: flex;
  flex-direction: column;
  gap: 0.3rem;
  font-size: 0.9rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.7rem;
  align-items: center;
  margin-top: 0.7rem;
}
.problem {
  color: var(--stop);
  margin-top: 0.5rem;
}
@media (max-width: 700px) {
  .panel {
    position: fixed;
    left: 0.6rem;
    right: 0.6rem;
    top: 90px;
    width: auto;
  }
}
</style>
