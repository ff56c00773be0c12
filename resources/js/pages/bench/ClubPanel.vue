<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { getJson, postJson, sentenceOf } from '@/api/http'
import QrCode from '@/components/QrCode.vue'
import { useNotice } from '@/composables/useNotice'
import { clock, day } from '@/lib/dates'

/** Where the bench is reached on the club's network, and who is signed in. Where it is this machine's own there is nothing. */
interface Club {
  is_club: boolean
  addresses: string[]
  sessions: { id: string; device: string; address: string; begun_at: string; seen_at: string; is_own: boolean }[]
}
const client = useQueryClient()
const notice = useNotice()
const club = useQuery({ queryKey: ['club'], queryFn: ({ signal }) => getJson<Club>('/club', signal), staleTime: 0 })
const address = computed(() => club.data.value?.addresses[0] ?? '')
/** What a browser says of itself, without the parts that all of them say. */
const deviceOf = (device: string) => /\(([^)]+)\)/.exec(device)?.[1]?.split(';').slice(0, 2).join(',') ?? (device || 'unknown device')

async function end(id: string): Promise<void> {
  try {
    await postJson('/club/end', { id })
    await client.invalidateQueries({ queryKey: ['club'] })
  } catch (error) {
    notice.warn(sentenceOf(error))
  }
}

async function signOut(): Promise<void> {
  try {
    await postJson('/club/sign-out', {})
  } finally {
    window.location.assign('/sign-in')
  }
}
</script>

<template>
  <section v-if="club.data.value?.is_club" class="club" aria-labelledby="club-title">
    <h2 id="club-title">On the club's network</h2>
    <div class="parts">
      <div v-if="address">
        <QrCode :text="address" :label="`Opens ${address} on a phone`" class="qr" />
        <p v-for="one in club.data.value.addresses" :key="one" class="value small">{{ one }}</p>
        <p class="muted small">The same network, and its passphrase. It is not enciphered on the way: a network you trust.</p>
      </div>
      <div>
        <h3>Signed in</h3>
        <ul class="plain-list">
          <li v-for="one in club.data.value.sessions" :key="one.id">
            <span
              ><b>{{ deviceOf(one.device) }}</b>
              <span class="muted small">{{ one.address }}, since {{ day(one.begun_at) }}, last {{ clock(one.seen_at) }}</span></span
            >
            <span v-if="one.is_own" class="small">this one</span>
            <ActButton kind="link" v-else class="small" @click="end(one.id)">sign it out</ActButton>
          </li>
        </ul>
        <ActButton @click="signOut">Sign out</ActButton>
      </div>
    </div>
  </section>
</template>

<style scoped>
.club {
  margin-top: 1.8rem;
}
.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 1.2rem 2.5rem;
  margin-top: 0.5rem;
}
.parts > div {
  flex: 1 1 20rem;
  min-width: 0;
}
.qr {
  width: 150px;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 1rem;
  padding: 0.4rem 0;
  border-bottom: 1px solid var(--line);
}
.ant-btn {
  margin-top: 0.8rem;
}
</style>
