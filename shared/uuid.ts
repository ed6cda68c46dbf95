/** A UUID of version 4 or 7 as Piscator's clients make them: 36 plain characters, no braces, no urn. */
export const UUID = /^[\da-fA-F]{8}-[\da-fA-F]{4}-[47][\da-fA-F]{3}-[89abAB][\da-fA-F]{3}-[\da-fA-F]{12}$/
