import { assertPlain } from '#core/input/plain'

/**
 * A JSON file that a cook chose, taken in; and what to say of it.
 * @param take throws for what cannot be used; what it returns is said, "Opened." where it returns nothing
 * @param kind "a plan file"
 * @param most values that it may have, where that is more than usual
 */
export async function openFile(file: File, kind: string, take: (json: unknown) => string | null | void, most?: number): Promise<string> {
  try {
    const json: unknown = JSON.parse(await file.text())
    assertPlain(json, most)
    return take(json) ?? 'Opened.'
  } catch (error) {
    return error instanceof SyntaxError
      ? `That is not ${kind}: it is not JSON.`
      : `That file cannot be used. ${error instanceof Error ? error.message : ''}`
  }
}
