import type { ISchema } from 'yup'

/** What a schema lets in, as a build keeps it: nothing of it is changed in place. */
export type Told<S extends ISchema<unknown>> = Kept<S['__outputType']>
type Kept<T> = { readonly [K in keyof T]: Kept<T[K]> }
