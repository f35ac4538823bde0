export function freePort(port: number, host: string): Promise<number>
export function serve(served: {
  readonly host: string
  readonly port: number
  readonly env?: Readonly<Record<string, string>>
}): { readonly listening: Promise<void>; readonly end: () => void }
