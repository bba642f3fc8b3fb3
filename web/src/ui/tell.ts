/** A word at the head of the page about what was just done, with the way back where there is one. */
import { Button, message } from 'ant-design-vue'
import type { MessageInstance } from 'ant-design-vue/es/message/interface'
import { h } from 'vue'

const SAID_S = 4
/** Long enough to see that it was the wrong one. */
const TO_TAKE_BACK_S = 9

let speaker: MessageInstance | null = null

/** Once, where the page's look is set. @returns the component in which the words stand */
export function useSpeaker() {
  const [instance, holder] = message.useMessage({ maxCount: 2 })
  speaker = instance
  return holder
}

let told = 0
/** @param undo takes it back */
export function tell(text: string, undo?: () => void): void {
  told += 1
  const key = `told ${told}`
  const back = (): void => {
    undo?.()
    speaker?.destroy(key)
  }
  const way = undo ? [' ', h(Button, { class: 'link undo', onClick: back }, () => 'Undo')] : []
  speaker?.open({
    key,
    content: h('span', { role: 'status' }, [text, ...way]),
    duration: undo ? TO_TAKE_BACK_S : SAID_S
  })
}
