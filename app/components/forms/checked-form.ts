import { useForm as usePrimeForm } from '@primevue/forms/useform'
import { type InjectionKey, watch } from 'vue'
import { heard } from '~~/core/wrong'
import type { z } from '~~/core/zod'
import { tell } from '../../words'

/** What a field asks of the form around it. */
export interface FormAround {
  /** A field is there, by its path in what is sent ("lead.name"). @returns takes it away again */
  register: (name: string) => () => void
  leave: (name: string) => void
  /** What is wrong with it: by the schema once it was left, else by the server. */
  wrong: (name: string) => string | undefined
  /** Something typed is read by itself: while it cannot be, nothing is sent. @returns takes it away again */
  holdBack: (unread: () => boolean) => () => void
}
export const FORM_AROUND: InjectionKey<FormAround> = Symbol('form')

/** Of the field itself, or of something in it ("blades.3" is wrong with "blades"). */
const isOf = (path: string, name: string): boolean => path === name || path.startsWith(`${name}.`)

/**
 * Checks what would be sent by the schema that the server checks it by: each field at its first leave and from then on
 * as it is typed, all of them when the form is sent.
 */
export function useChecks(schema: () => z.ZodType, body: () => unknown) {
  /** What is wrong by field; a path that no field stands for is left to the server. */
  function errorsOf(names: string[]): Record<string, { message: string }[]> {
    const issues = schema().safeParse(body()).error?.issues ?? []
    const found = names.map(name => [name, issues.find(i => isOf(i.path.join('.'), name))] as const)
    return Object.fromEntries(
      found.flatMap(([name, issue]) => (issue ? [[name, [{ message: tell(heard(issue.message)) }]]] : [])),
    )
  }
  const fields = usePrimeForm({
    resolver: ({ names }) => ({ errors: errorsOf(names ?? []) }),
    validateOnBlur: true,
    validateOnValueUpdate: false,
  })
  const left = new Set<string>()
  const known = (): string[] => Object.keys(fields.fields)
  const errorOf = (name: string): string | undefined => fields.getFieldState(name)?.error?.message
  const check = (names: Iterable<string>) => Promise.all([...names].map(name => fields.validate(name)))
  watch(body, () => void check(left), { deep: true })

  return {
    errorOf,
    register(name: string): () => void {
      fields.defineField(name)
      return () => {
        left.delete(name)
        Reflect.deleteProperty(fields.fields, name)
      }
    },
    leave(name: string): void {
      left.add(name)
      void check([name])
    },
    /** @returns whether nothing is wrong with any field, each counting as left */
    async all(): Promise<boolean> {
      known().forEach(name => left.add(name))
      await check(left)
      return known().every(name => errorOf(name) === undefined)
    },
    /** As if nobody had been here: what was kept is not left empty. */
    forget(): void {
      left.clear()
      fields.reset()
    },
  }
}
