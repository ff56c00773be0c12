const PORT = Number(process.env.LINGUATOR_TEST_PORT ?? 8791)

/** Tests side by side, each with a bench of its own: one more than the machine has cores, since a hand that holds a stick waits. */
export const BENCHES = 3

export const portOf = (worker: number): number => PORT + worker

export const benchOf = (worker: number): string => `http://127.0.0.1:${portOf(worker)}`
