import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { PumpReport } from '../../core/devices/messages.ts'
import { orderOf, unwrittenDoses } from '../../core/devices/pump-doses.ts'
import { noteOf, pumpPlanOf, type AttachedDevice } from '../../core/household/devices.ts'
import type { ContentOf } from '../../core/journal/entry.ts'
import { iso } from '../../core/time/zone.ts'
import { thisInstant } from '../frame/now.tsx'
import { useKeeping } from '../journal/keeping.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { orderPump } from './api.ts'
import { pumpKey, usePumpReport } from './usePumpReport.ts'

/** An attached pump: how it stands, and what can be ordered of it. */
export interface Pump {
  report: PumpReport | null
  /** Its answer is missing, or cannot be read. */
  problem: string | null
  /** An order of the journal, or one of another household or browser, is running as far as is known. */
  runs: boolean
  /** The last order was not taken: which, and why in words. */
  refused: Refused | null
  isBusy: boolean
  /** Writes what it gave, stops it, and writes that it stands. @returns whether it has stopped */
  stop: () => Promise<boolean>
  /** Writes the plan as being sent, sends it, and writes that it was taken. @returns whether it runs */
  start: (plan: ContentOf<'pump-plan'>) => Promise<boolean>
  /** Sends the plan of the journal once more. @param bottleMl what is left in the bottle */
  sendAgain: (bottleMl: number) => Promise<void>
}

interface Refused {
  what: 'start' | 'stop'
  words: string
}

/** A pump of the household that is open. */
export function usePump(device: AttachedDevice): Pump {
  const { journal, settings, which, correct, strike } = useHousehold()
  const { keep, busy } = useKeeping()
  const queries = useQueryClient()
  const { report, problem } = usePumpReport(device.channel)
  // Beside the report and not in one view of the pump: which view is open changes with what is kept.
  const refusedKey = ['pump-refused', device.deviceId]
  const { data: refused = null } = useQuery<Refused | null>({
    queryKey: refusedKey,
    queryFn: () => null,
    enabled: false,
    initialData: null,
  })
  const setRefused = (what: Refused | null) => queries.setQueryData<Refused | null>(refusedKey, what)
  const [isSending, setSending] = useState(false)
  const plan = pumpPlanOf(journal, device.deviceId)
  /** @returns whether the pump did it */
  const order = async (what: Parameters<typeof orderPump>[2]): Promise<boolean> => {
    setRefused(null)
    setSending(true)
    try {
      await orderPump(which, device.channel, what)
      return true
    } catch (error) {
      setRefused({ what: what === null ? 'stop' : 'start', words: (error as Error).message })
      return false
    } finally {
      setSending(false)
      void queries.invalidateQueries({ queryKey: pumpKey(device.channel) })
    }
  }
  return {
    report,
    problem,
    runs: plan !== null || (report !== null && report.order !== null),
    refused,
    isBusy: busy || isSending,
    stop: async () => {
      // What it gave is gone from the pump with its order: it is read before, and written with the stop.
      const doses =
        plan && report
          ? unwrittenDoses(journal, plan, report.shots, settings.clock, thisInstant(), true, noteOf(device))
          : []
      if (!(await order(null))) return false
      const stopped = plan ? [{ ...withoutSending(plan.content), happened: iso(thisInstant()), stopped: true }] : []
      if (doses.length + stopped.length > 0) await keep([...doses, ...stopped])
      return true
    },
    start: async (content) => {
      const kept = await keep([{ ...content, beingSent: true }])
      const entry = kept?.[0]
      if (!entry || !('content' in entry) || entry.content.kind !== 'pump-plan') return false
      if (!(await order(orderOf(journal, { at: Date.parse(entry.content.happened), content }, settings.timeZone)))) {
        // Nothing stands in the journal that does not run.
        await strike(entry.id, 'the pump did not take it')
        return false
      }
      await correct(entry.id, withoutSending(entry.content))
      return true
    },
    sendAgain: async (bottleMl) => {
      if (!plan || !(await order({ ...orderOf(journal, plan, settings.timeZone), bottleMl }))) return
      if (plan.content.beingSent) await correct(plan.id, withoutSending(plan.content))
    },
  }
}

/** A plan that the pump has taken. */
export function withoutSending(plan: ContentOf<'pump-plan'>): ContentOf<'pump-plan'> {
  const taken = { ...plan }
  delete taken.beingSent
  return taken
}
