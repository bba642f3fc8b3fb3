/** What was said, in a word or two, when it is taken back. */
export const SPOKEN: Record<string, string> = {
  lit: 'ring lit',
  laid: 'on the heat',
  turned: 'turned',
  edged: 'on its edge',
  moved: 'on to the next',
  lifted: 'lifted out',
  returned: 'back in',
  pulled: 'off the heat',
  halved: 'half carved',
  carved: 'carved',
  reading: 'reading',
  delayed: 'the guests are late',
  parted: 'served in two waves'
}
