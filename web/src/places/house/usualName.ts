/** What a device is called before anybody has named it. @param agent as its browser calls itself */
export function usualName(agent: string): string {
  if (/iPad|Tablet|Android(?!.*Mobile)/.test(agent)) return 'Tablet'
  if (/Mobile|iPhone/.test(agent)) return 'Phone'
  return 'Laptop'
}
