/** Figures as the door gives them: as many digits as mean something. */
export const round = (value: number, digits: number): number => Number(value.toFixed(digits))
export const seconds = (value: number): number => round(value, 1)
export const degrees = (value: number): number => round(value, 2)
export const maybe = (value: number | null): number | null => (value === null ? null : degrees(value))
