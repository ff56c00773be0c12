<script setup lang="ts">
/** A button that opens this machine's files; `isQuiet`: it stands within a line. */
export interface FileFieldProps {
  /** What stands on it. */
  says: string
  /** What is chosen, read out after that. */
  name: string
  accept?: string
  isQuiet?: boolean
  isWaiting?: boolean
}
defineProps<FileFieldProps>()
const emit = defineEmits<{ take: [file: File] }>()

function take(event: Event): void {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  // The same file can be chosen once more, after it was mended.
  input.value = ''
  if (file) emit('take', file)
}
</script>

<template>
  <label class="file reach" :class="{ quiet: isQuiet, waits: isWaiting }"
    >{{ says }}<input type="file" class="sr-only" :accept="accept" :aria-label="`${says}: ${name}`" :disabled="isWaiting" @change="take"
  /></label>
</template>

<style scoped>
.file {
  position: relative;
  display: inline-flex;
  align-items: center;
  min-height: 36px;
  padding: 0 15px;
  border: 1px solid var(--field-line, #8f9a92);
  border-radius: var(--radius);
  background: var(--card);
  font-weight: 600;
  cursor: pointer;
}
.file:not(.quiet) {
  font-size: 0.95rem;
}
.file:hover {
  border-color: var(--petrol);
}
.file:focus-within {
  outline: 2px solid var(--focus);
  outline-offset: 2px;
}
.quiet {
  min-height: 0;
  padding: 0;
  border: 0;
  background: none;
  font-weight: 400;
  color: var(--petrol);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.waits {
  opacity: 0.6;
  cursor: default;
}
@media (max-width: 700px) {
  .file:not(.quiet) {
    min-height: 44px;
  }
}
</style>
