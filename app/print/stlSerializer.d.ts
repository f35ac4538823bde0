declare module '@jscad/stl-serializer' {
  /** Parts of a file. */
  export function serialize(options: { readonly binary: true }, solid: object): BlobPart[]
}
