export function chromiumPath(): string | null
export function chromiumOrThrow(): string
export const CHROMIUM_MISSING: string
