/**
 * A JSON file that a cook chose, taken in; and what to say of it.
 * @param take throws for what cannot be used; what it returns is said, "Opened." where it returns nothing
 * @param kind "a plan file"
 * @returns null where none was chosen
 */
export async function openFile(event: Event, kind: string, take: (json: unknown) => string | null | void): Promise<string | null> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return null
  try {
    return take(JSON.parse(await file.text())) ?? 'Opened.'
  } catch (error) {
    return error instanceof SyntaxError
      ? `That is not ${kind}: it is not JSON.`
      : `That file cannot be used. ${error instanceof Error ? error.message : ''}`
  } finally {
    // The same file may be chosen again.
    input.value = ''
  }
}
