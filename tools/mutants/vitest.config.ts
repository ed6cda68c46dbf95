import { dirname } from 'node:path'
import { BaseSequencer, type TestSpecification } from 'vitest/node'
import tests from '../../vitest.config'

/** The file with the slip, from the project's root. */
const slip = process.env.PISCATOR_SLIP ?? ''

/** Whichever test notices a slip ends the run: those beside it first, then the quick ones. */
class NearAndQuickFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const far = ({ moduleId }: TestSpecification) => Number(!dirname(moduleId).endsWith(dirname(slip)))
    const longer = await super.sort(files)
    return longer.reverse().sort((a, b) => far(a) - far(b))
  }
}

export default {
  ...tests,
  test: {
    ...tests.test,
    maxWorkers: 1,
    experimental: { fsModuleCache: true },
    sequence: { sequencer: NearAndQuickFirst },
  },
}
