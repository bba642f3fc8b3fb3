/** Until an oven, a fire or water is ready, s; common practice, no source. */
export const WARM_UP_S = { oven: 15 * 60, charcoal: 30 * 60, gas: 15 * 60, bath: 30 * 60, pot: 10 * 60 } as const
