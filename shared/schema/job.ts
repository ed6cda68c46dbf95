import Joi from 'joi'
import { momentSchema, uuidSchema } from '#shared/schema/fields'

/** What may be asked for as a job. */
const JOB_KINDS = ['day-plan', 'import', 'kit', 'pool', 'preview', 'season'] as const
/** Where a job may stand. */
const JOB_STATES = ['waiting', 'working', 'done', 'stopped', 'failed'] as const

/** How a job stands. */
export interface JobStatus {
  id: string
  kind: (typeof JOB_KINDS)[number]
  state: (typeof JOB_STATES)[number]
  /** Parts of the work that are done, of how many. */
  done: number
  parts: number
  /** Why it failed, by code. */
  fault?: string
  createdAt: string
  endedAt?: string
}

export const jobIdSchema: Joi.StringSchema = uuidSchema('The job').required()

const count = (least: number) => Joi.number().integer().min(least).required()
export const jobStatusSchema = Joi.object<JobStatus>({
  id: jobIdSchema,
  kind: Joi.string()
    .valid(...JOB_KINDS)
    .required(),
  state: Joi.string()
    .valid(...JOB_STATES)
    .required(),
  done: count(0),
  parts: count(0),
  fault: Joi.string(),
  createdAt: momentSchema('When it was asked').required(),
  endedAt: momentSchema('When it ended'),
})
export const jobListSchema = Joi.object<{ jobs: JobStatus[] }>({
  jobs: Joi.array().items(jobStatusSchema).required(),
})
