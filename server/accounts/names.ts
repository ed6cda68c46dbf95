/** A name as it is compared: letters however they are written, one blank for several (RFC 8265, without its widths). */
export const nameKey = (name: string): string => name.normalize('NFKC').trim().replaceAll(/\s+/g, ' ').toLowerCase()
