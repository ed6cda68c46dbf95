/** Fewest and most characters of a password (NIST SP 800-63B, 3.1.1.2: no rules but length and what was breached). */
export const PASSWORD_LENGTH = { least: 12, most: 200 } as const
export const NAME_LENGTH = { least: 2, most: 40 } as const
