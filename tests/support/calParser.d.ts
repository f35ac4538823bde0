/** The program that reads calendars back in tests says nothing of its types. */
declare module 'cal-parser' {
  interface Dated {
    readonly value: Date
  }
  interface Event {
    readonly summary: { readonly value: string }
    readonly uid: { readonly value: string }
    readonly dtstart: Dated
    readonly dtend: Dated
  }
  const parser: { parseString: (text: string) => { readonly events: readonly Event[] } }
  export default parser
}
