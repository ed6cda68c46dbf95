/** Events of the records that may be sent, and come back, at once. Apart from their schemas, which no page needs. */
export const AT_ONCE = 200
