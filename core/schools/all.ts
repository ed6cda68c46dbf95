import type { SchoolId } from '#core/words/schools'
import { blend } from '#core/schools/blend'
import { brightDay } from '#core/schools/brightDay'
import { contrast } from '#core/schools/contrast'
import { fewColours } from '#core/schools/fewColours'
import { fishEye } from '#core/schools/fishEye'
import { match } from '#core/schools/match'
import { reaction } from '#core/schools/reaction'
import type { School } from '#core/schools/school'

/** The seven schools. */
export const SCHOOL: Record<SchoolId, School> = {
  'match': match,
  'blend': blend,
  'contrast': contrast,
  'bright-day': brightDay,
  'fish-eye': fishEye,
  'few-colours': fewColours,
  'reaction': reaction,
}
