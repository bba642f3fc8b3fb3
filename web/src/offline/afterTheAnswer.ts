/** ms: by then the first answer has come, and nobody is elsewhere yet. */
const AFTER_MS = 1000

/** What is not needed for the first answer waits for this. */
export const afterTheAnswer = new Promise<void>(come => setTimeout(come, AFTER_MS))
