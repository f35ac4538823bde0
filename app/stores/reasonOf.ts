/** What an error says; all else as it is. */
export const reasonOf = (error: unknown): string => (error instanceof Error ? error.message : String(error))
