const PORT = Number(process.env.LINGUATOR_TEST_PORT ?? 8791)

/** Tests side by side, each with a bench of its own: the machine has two cores, and a third made each of them slower. */
export const BENCHES = 2

export const portOf = (worker: number): number => PORT + worker

export const benchOf = (worker: number): string => `http://127.0.0.1:${portOf(worker)}`
