/** Parts of the page that are fetched when they are wanted: over a kitchen's network one does not always come at once. */

/** ms until it is asked for again; after the last it is given up. */
const AGAIN_MS: readonly number[] = [250, 1000, 3000]

/** @throws what the last asking ended in */
export async function arriving<T>(fetchPart: () => Promise<T>, waitsMs = AGAIN_MS): Promise<T> {
  try {
    return await fetchPart()
  } catch (error) {
    const [wait, ...later] = waitsMs
    if (wait === undefined) throw error
    await new Promise(go => setTimeout(go, wait))
    return arriving(fetchPart, later)
  }
}
