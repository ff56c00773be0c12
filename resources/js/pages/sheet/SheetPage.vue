<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { sentenceOf } from '@/api/http'
import QrCode from '@/components/QrCode.vue'
import SheetBody from '@/components/SheetBody.vue'
import VerdictLine from '@/components/VerdictLine.vue'
import { day } from '@/lib/dates'
import { useRig } from '@/composables/useRig'

const route = useRoute()
const { rig, query } = useRig(() => String(route.params.slug))
/** Where the paper is looked up again. */
const address = computed(() => new URL(`/rigs/${String(route.params.slug)}`, location.href).href)
/** On its own machine the address means that machine: a phone that reads the code would ask itself. */
const isOwnMachine = ['127.0.0.1', 'localhost', '[::1]'].includes(location.hostname)
const today = day(new Date().toISOString())
const chain = computed(() => rig.value?.review.boxes.map((box, k) => ({ box, coupling: rig.value?.review.couplings[k] })) ?? [])
const print = () => window.print()
</script>

<template>
  <main id="main" class="paper">
    <nav class="tools" aria-label="Sheet">
      <RouterLink :to="`/rigs/${route.params.slug}`">Back to the rig</RouterLink>
      <ActButton kind="primary" @click="print">Print</ActButton>
    </nav>
    <p v-if="query.error.value">{{ sentenceOf(query.error.value) }}</p>
    <article v-else-if="rig">
      <header>
        <div class="opens">
          <QrCode class="qr" :text="address" :label="`Code that opens ${address}`" />
          <span class="small"
            >opens the rig<template v-if="isOwnMachine">,<br />on this machine only</template></span
          >
        </div>
        <h1>{{ rig.document.name }}</h1>
        <p>{{ rig.review.craft.note ?? rig.review.craft.kind }}</p>
        <p class="muted small">
          Set-up sheet, {{ today }}, revision {{ rig.revision }}. Its page: <span class="value">{{ address }}</span>
        </p>
        <p class="verdict" :class="rig.review.next.severity"><VerdictLine :next="rig.review.next" /></p>
      </header>
      <p class="chain">
        <template v-for="{ box, coupling } in chain" :key="box.id"
          ><b>{{ box.name }}</b
          ><template v-if="coupling">
            →
            <span class="via"
              >{{ coupling.label }}<template v-if="coupling.detail">, {{ coupling.detail }}</template></span
            >
            →
          </template></template
        >
      </p>
      <div class="sections"><SheetBody level="h2" :sections="rig.review.sheet" :wires="rig.review.wiring.wires" /></div>
      <section class="by-hand" aria-label="Notes by hand"><span class="muted small">By hand, with the date:</span></section>
      <footer class="small">
        Propellers off, wheels and hull clear. Handset on first and off last. Antenna before power. Local rules come first. An empty box is still
        open.
      </footer>
    </article>
  </main>
</template>

<style scoped>
.paper {
  max-width: 900px;
  margin: 0 auto;
  padding: 1rem 1.5rem 3rem;
}
.tools {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin-bottom: 1rem;
}
article {
  background: var(--card);
  border: 1px solid var(--line);
  padding: 1.6rem 1.8rem;
}
header {
  border-bottom: 2px solid var(--petrol);
  padding-bottom: 0.6rem;
  display: flow-root;
}
.opens {
  float: right;
  margin-left: 1rem;
  text-align: center;
  line-height: 1.15;
}
.qr {
  width: 25mm;
  height: 25mm;
  margin: 0 auto;
}
.chain {
  padding: 0.6rem 0;
}
.via {
  color: var(--muted);
  font-size: 0.9rem;
}
.sections {
  columns: 2;
  column-gap: 2rem;
}
.by-hand {
  margin-top: 0.9rem;
  height: 22mm;
  break-inside: avoid;
  background: repeating-linear-gradient(to bottom, transparent 0 calc(7mm - 1px), var(--line) calc(7mm - 1px) 7mm);
  print-color-adjust: exact;
}
footer {
  margin-top: 1.2rem;
  border-top: 1px solid var(--line);
  padding-top: 0.5rem;
}
@media screen and (max-width: 420px) {
  .opens {
    float: none;
  }
}
@media (max-width: 700px) {
  .sections {
    columns: 1;
  }
  article {
    padding: 1rem;
  }
}
@media print {
  .by-hand {
    height: 15mm;
    margin-top: 0.5rem;
  }
  .paper {
    max-width: none;
    padding: 0;
  }
  .tools {
    display: none;
  }
  article {
    border: 0;
    padding: 0;
  }
  .sections {
    columns: 2;
  }
}
</style>
