/** A school leans towards or against a finish when its word is at least this strong, of 1. */
export const LEANS = 0.12
