/**
 * What this process does: answers requests ('web'), works on jobs ('worker'), or both, as one alone does. A process
 * that only works answers nothing but how it is.
 */
const ROLES = ['all', 'web', 'worker'] as const
type Role = (typeof ROLES)[number]

const named = process.env.PISCATOR_ROLE ?? 'all'
export const roleOfProcess: Role = ROLES.find(r => r === named) ?? 'all'

export const answersRequests = roleOfProcess !== 'worker'
export const worksOnJobs = roleOfProcess !== 'web'
