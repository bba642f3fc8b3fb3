import { showDuration, shownText } from '#core/quantity/format'

/** Hours without the word for minutes: the columns are narrow. */
export const spanText = (seconds: number): string =>
  seconds < 3570 ? shownText(showDuration(seconds)) : showDuration(seconds).figure + (seconds % 3600 < 30 ? ' h' : '')
