declare module 'parse-stl' {
  type Triple = readonly [number, number, number]
  export default function parseStl(file: Uint8Array): {
    readonly positions: Triple[]
    readonly cells: Triple[]
  }
}
