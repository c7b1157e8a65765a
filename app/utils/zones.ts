/** Every time zone that this browser knows, and the one that is in force, for a list to choose from. */
export const zones = (inForce: string): { value: string; label: string }[] =>
  [...new Set([inForce, ...Intl.supportedValuesOf('timeZone')])].map(value => ({
    value,
    label: value.replaceAll('_', ' '),
  }))
