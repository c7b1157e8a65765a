import { reactive, shallowRef } from 'vue'

/**
 * What is typed over a record that somebody else may change meanwhile: fields that nobody here has touched follow it,
 * and what was typed stays. `seen` goes along when it is sent.
 * @param empty the form before there is a record
 * @param fieldsOf what the form shows of a record
 */
export function useTypedOver<R extends object, F extends object>(empty: F, fieldsOf: (record: R) => F) {
  const given = reactive({ ...empty }) as F
  const was = shallowRef<R | null>(null)
  /** Another record, as it is. */
  function begin(record: R): void {
    Object.assign(given, fieldsOf(record))
    was.value = record
  }
  /** The same record, as it is by now. */
  function follow(record: R): void {
    if (was.value === null) return begin(record)
    const [before, now] = [fieldsOf(was.value), fieldsOf(record)]
    for (const field of Object.keys(now) as (keyof F)[]) if (given[field] === before[field]) given[field] = now[field]
    was.value = record
  }
  function clear(): void {
    Object.assign(given, empty)
    was.value = null
  }
  /** What the form was begun from, to be sent as `was`; nothing where it is a new record. */
  const seen = (): Record<string, unknown> | undefined => (was.value ? { ...was.value } : undefined)
  return { given, was, seen, begin, follow, clear }
}
