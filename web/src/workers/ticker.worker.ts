/** A clock that goes on while its page is hidden: the timers of a page out of sight are let run once a minute only. */
const EVERY_MS = 500
setInterval(() => postMessage(null), EVERY_MS)
