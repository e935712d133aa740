import { SAMPLE_HOURS, SAMPLING_RUN } from '../../../../core/catalogue/microscope/sampling-run.data.ts'
import { MS_PER_HOUR } from '../../../../core/time/zone.ts'
import { useDraft } from '../../../fields/draft.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'

const numberOf = (text: string | undefined): number | null => {
  const read = Number(text)
  return text === undefined || text === '' || !Number.isFinite(read) ? null : read
}

/** Step of the sampling run in which the drop comes under the lamp. */
const LOOK_STEP = SAMPLING_RUN.findIndex(({ id }) => id === 'm5')
const STALE_MS = SAMPLE_HOURS * MS_PER_HOUR

/** A sample on its way to the slide, kept on this device: a reload or a locked phone loses no clock. Instants in ms. */
export function useSlide(tankId: string) {
  const { which } = useHousehold()
  const now = useNow()
  const [values, change, forget] = useDraft(`${which}-sample-${tankId}`)
  const settleFrom = numberOf(values['settleFrom'])
  const slideFrom = numberOf(values['slideFrom'])
  const isStale = now - Math.max(settleFrom ?? 0, slideFrom ?? 0, numberOf(values['at']) ?? 0) > STALE_MS
  const step = isStale ? 0 : Math.max(0, Math.min(SAMPLING_RUN.length - 1, numberOf(values['step']) ?? 0))
  const put = (at: number) => change('slideFrom', String(at))
  return {
    step,
    settleFrom: isStale ? null : settleFrom,
    slideFrom: isStale ? null : slideFrom,
    go(to: number) {
      change('step', String(to))
      change('at', String(Date.now()))
      if (to < SAMPLING_RUN.findIndex(({ id }) => id === 'm2')) change('settleFrom', '')
      if (to === LOOK_STEP && to > step) put(Date.now())
    },
    settle: (at: number) => change('settleFrom', String(at)),
    put,
    forget,
  }
}
