/** Days and times as this reader writes them: the order of day and month, and hours to 12 or 24. */
export const DAY = 'YYYY-MM-DD'
export const MOMENT = 'YYYY-MM-DDTHH:mm'

const hours = new Intl.DateTimeFormat(undefined, { hour: 'numeric' }).resolvedOptions()
export const HOURS_OF_12 = hours.hour12 ?? false
const parts = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short' }).formatToParts(0)
const monthFirst = parts.findIndex(p => p.type === 'month') < parts.findIndex(p => p.type === 'day')

export const timeWritten = HOURS_OF_12 ? 'h:mm A' : 'HH:mm'
export const dayWritten = monthFirst ? 'MMM D, YYYY' : 'D MMM YYYY'
export const momentWritten = `${dayWritten} ${timeWritten}`
/** Where AM and PM go without saying, as along a line. */
export const clockWritten = HOURS_OF_12 ? 'h:mm' : 'HH:mm'
