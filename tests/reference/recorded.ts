/** A call of an API: which of its functions, with what was asked, and that which was asked first. */
export interface Recorded {
  kind: string
  // What each function is asked differs; a test names what it looks for.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  ask: any
  args: unknown[]
}

/** The same API with every call told of before it is made; what the telling throws, the call rejects with. */
export function recorded<Api extends object>(api: Api, tell: (call: Recorded) => void): Api {
  const wrapped = Object.entries(api).map(([kind, work]) => [
    kind,
    async (...args: unknown[]) => {
      tell({ kind, ask: args[0], args })
      return (work as (...args: unknown[]) => unknown)(...args)
    },
  ])
  return Object.fromEntries(wrapped) as Api
}
