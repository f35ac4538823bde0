/** Size of small pictures, in their own unit; a file of its own, for the list that shows them needs nothing of how they are made. */
export const SMALL = { width: 240, height: 92 } as const
