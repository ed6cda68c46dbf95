import { computed } from 'vue'
import { finishById } from '#core/lure/finish'
import { type Answers, useAnswers } from '~/water/useScreen'
import { keptQuestion, shownOf } from '#shared/kept'
import { useTaughtStore } from '~/records/taught'
import { useSettingsStore } from '~/settings/store'
import { useCallsStore } from './store'

/** Keep the chosen finish with the question it answered, both from the answer that is seen, and take that back. */
export function useKeeping({ screen, asked }: Pick<Answers, 'screen' | 'asked'> = useAnswers()) {
  const calls = useCallsStore()
  const settings = useSettingsStore()
  const taught = useTaughtStore()
  const selected = computed(() => screen.value?.call.finish ?? null)

  /** Why the chosen finish cannot be kept; nothing where it can. */
  const hindrance = computed(() =>
    selected.value && !finishById(selected.value.id)
      ? 'Kept calls hold finishes of the catalogue; this one is yours.'
      : '',
  )

  function keep(): void {
    if (!screen.value || !selected.value || !asked.value || hindrance.value) return
    const { limit: _limit, units: _units, ...request } = asked.value.request
    const { id, name } = selected.value
    calls.keep({
      asked: keptQuestion(request, settings.exactPlace),
      tiedOn: id,
      name,
      waterId: asked.value.waterId,
      rank: screen.value.call.rank,
      shown: shownOf(screen.value.rows.map(r => r.finishId)),
      ...(taught.leaned ? { leaned: taught.leaned } : {}),
    })
  }
  return { selected, hindrance, keep, justKept: computed(() => calls.last), takeBack: calls.takeBack }
}
