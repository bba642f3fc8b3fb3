/** What was said, in a word or two, when it is taken back. */
export const SPOKEN: Record<string, string> = {
  lit: 'ring lit',
  laid: 'in the pan',
  turned: 'turned',
  edged: 'on its edge',
  lifted: 'lifted out',
  returned: 'back in',
  pulled: 'off the heat',
  carved: 'carved',
  reading: 'reading'
}
