// How many people a bench serves at once: each looks and works at a person's pace, and nineteen of twenty answers come within 150 ms.
//   node bench/people.mjs http://127.0.0.1:8080 [COOKIE]
const [base, cookie = ''] = process.argv.slice(2)
const WITHIN_MS = 150
const RUN_MS = 12_000
/** Between two things that a person does (ms). */
const THINK_MS = [1000, 3000]
const headers = { Accept: 'application/json', ...(cookie === '' ? {} : { Cookie: cookie }) }
const json = { ...headers, 'Content-Type': 'application/json' }
const rigs = (await (await fetch(`${base}/api/v1/rigs`, { headers })).json()).rigs.map((rig) => rig.slug)
const any = (list) => list[Math.floor(Math.random() * list.length)]
const order = JSON.stringify({ handset: 'AETR', controller: 'TAER' })
/** What people do, by how often: looking at a rig most, then the bench, the shelf, a search, a question to a tool. */
const DEEDS = [
  ...Array(5).fill(() => fetch(`${base}/api/v1/rigs/${any(rigs)}`, { headers })),
  ...Array(2).fill(() => fetch(`${base}/api/v1/rigs`, { headers })),
  () => fetch(`${base}/api/v1/shelf`, { headers }),
  () => fetch(`${base}/api/v1/search?q=${any(['dunlin', 'weft', 'expo'])}`, { headers }),
  () => fetch(`${base}/api/v1/order`, { method: 'POST', headers: json, body: order }),
]
const sleep = (ms) => new Promise((resolve) => setTimeout(resolve, ms))
const share = (list, part) => [...list].sort((a, b) => a - b)[Math.floor(list.length * part)]

async function person(until, times) {
  await sleep(Math.random() * THINK_MS[1])
  while (Date.now() < until) {
    const began = performance.now()
    const answer = await any(DEEDS)()
    await answer.arrayBuffer()
    if (answer.status >= 500 || answer.status === 401) throw new Error(`answered with ${answer.status}`)
    times.push(performance.now() - began)
    await sleep(THINK_MS[0] + Math.random() * (THINK_MS[1] - THINK_MS[0]))
  }
}

let served = 0
for (const people of [5, 10, 20, 30, 40, 60, 80, 100, 130, 160, 200, 250, 300]) {
  const times = []
  const until = Date.now() + RUN_MS
  await Promise.all(Array.from({ length: people }, () => person(until, times)))
  const p95 = share(times, 0.95)
  console.log(
    `${people} people: ${(times.length / (RUN_MS / 1000)).toFixed(0)} answers a second, ${share(times, 0.5).toFixed(0)} ms p50, ${p95.toFixed(0)} ms p95`,
  )
  if (p95 > WITHIN_MS) break
  served = people
}
console.log(`served with p95 within ${WITHIN_MS} ms: ${served} people`)
