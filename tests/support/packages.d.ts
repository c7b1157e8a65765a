/** Reference packages that bring no types: the few functions that the tests hold our own against. */
declare module 'munkres-js' {
  export default function munkres(costs: number[][]): [number, number][]
}
declare module 'jstat' {
  const jstat: { median: (values: number[]) => number }
  export default jstat
}
declare module 'unitmath' {
  interface Unit {
    mul: (other: Unit) => Unit
    to: (unit: string) => Unit
    getValue: () => unknown
  }
  export default function unitmath(value: number, unit: string): Unit
}
