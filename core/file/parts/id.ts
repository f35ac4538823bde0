/** Identifier inside one build: letters, digits, hyphen, underscore. */
export type Id = string
